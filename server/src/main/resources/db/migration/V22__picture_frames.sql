-- pictures and words in front of the backgrounds stand in one order with the frames of text
alter table frame add column kind varchar(16) default 'text' not null;
alter table frame add column locked boolean default false not null;
alter table frame add column asset uuid;
alter table frame add column swatch uuid;
alter table frame add column tint double precision;
-- how a picture or a word stands in its frame: all but what it refers to
alter table frame add column picture json;
alter table frame add foreign key (publication, asset) references asset (publication, id);
alter table frame add foreign key (publication, swatch) references swatch (publication, id);
