-- what a legible colour chooses from, in the order in which it is tried
create table swatch_choice (
  publication uuid not null references publication on delete cascade,
  swatch uuid not null,
  position int not null,
  choice uuid not null,
  primary key (publication, swatch, position),
  foreign key (publication, swatch) references swatch (publication, id) on delete cascade,
  foreign key (publication, choice) references swatch (publication, id)
);
-- the viewings that it is to be legible under besides as designed
alter table swatch add column viewings json;
