-- What frames of parents keep to on pages of another size than the publication.
alter table frame add column hold_across varchar(8) default 'NEAR' not null;
alter table frame add column hold_down varchar(8) default 'NEAR' not null;
