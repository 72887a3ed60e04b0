create table asset_file (
  sha256 varchar(64) primary key,
  content json not null,
  file blob not null
);

create table asset (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  name varchar(480) not null,
  sha256 varchar(64) not null,
  primary key (publication, id),
  foreign key (sha256) references asset_file (sha256)
);

alter table background add column asset uuid;
alter table background add column placing json;
alter table background add constraint background_asset
  foreign key (publication, asset) references asset (publication, id);

alter table parent add column base uuid;
alter table parent add constraint parent_base
  foreign key (publication, base) references parent (publication, id);
