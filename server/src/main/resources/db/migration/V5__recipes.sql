alter table page add column part varchar(480);

create table recipe (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  name varchar(480) not null,
  trim json not null,
  primary key (publication, id)
);

-- a background lies on a page, a parent or a recipe now, which its old check does not allow
create table background_anew (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  page uuid,
  parent uuid,
  recipe uuid,
  sides varchar(8) not null,
  area json not null,
  fill varchar(16) not null,
  swatch uuid,
  tint double precision,
  opacity double precision not null,
  blend varchar(16) not null,
  on_screen boolean not null,
  on_paper boolean not null,
  gradient json,
  asset uuid,
  placing json,
  made_by uuid,
  made_from uuid,
  primary key (publication, id),
  foreign key (publication, page) references page (publication, id) on delete cascade,
  foreign key (publication, parent) references parent (publication, id) on delete cascade,
  foreign key (publication, recipe) references recipe (publication, id) on delete cascade,
  foreign key (publication, made_by) references recipe (publication, id),
  foreign key (publication, swatch) references swatch (publication, id),
  foreign key (publication, asset) references asset (publication, id)
);

insert into background_anew (publication, id, position, page, parent, sides, area, fill, swatch,
    tint, opacity, blend, on_screen, on_paper, gradient, asset, placing)
  select publication, id, position, page, parent, sides, area, fill, swatch,
    tint, opacity, blend, on_screen, on_paper, gradient, asset, placing
  from background;

create table gradient_stop_anew (
  publication uuid not null references publication on delete cascade,
  background uuid not null,
  position int not null,
  place double precision not null,
  swatch uuid not null,
  tint double precision not null,
  opacity double precision not null,
  primary key (publication, background, position),
  foreign key (publication, background) references background_anew (publication, id) on delete cascade,
  foreign key (publication, swatch) references swatch (publication, id)
);

insert into gradient_stop_anew (publication, background, position, place, swatch, tint, opacity)
  select publication, background, position, place, swatch, tint, opacity from gradient_stop;

drop table gradient_stop;
drop table background;
alter table background_anew rename to background;
alter table gradient_stop_anew rename to gradient_stop;
