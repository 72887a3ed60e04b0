-- looks of some characters of a paragraph, and what slants
create table character_look (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position bigint not null,
  look json not null,
  primary key (publication, id)
);

alter table run add column look uuid;
alter table run add foreign key (publication, look) references character_look (publication, id);

alter table look add column italic boolean default false not null;
