-- What opens a PDF that came with a password; empty for all others.
alter table asset_file add column password varchar(1000) default '' not null;
