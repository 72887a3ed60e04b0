-- What comes off the files of a set, and how often an export was begun: one that was running when the
-- server ended is begun again.
alter table job add column comes_off json;
alter table job add column begun int default 1 not null;
