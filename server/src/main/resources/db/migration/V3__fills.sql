alter table background add column opacity double precision default 100 not null;
alter table background add column blend varchar(16) default 'NORMAL' not null;
alter table background add column on_screen boolean default true not null;
alter table background add column on_paper boolean default true not null;
alter table background add column gradient json;

create table gradient_stop (
  publication uuid not null references publication on delete cascade,
  background uuid not null,
  position int not null,
  place double precision not null,
  swatch uuid not null,
  tint double precision not null,
  opacity double precision not null,
  primary key (publication, background, position),
  foreign key (publication, background) references background (publication, id) on delete cascade,
  foreign key (publication, swatch) references swatch (publication, id)
);
