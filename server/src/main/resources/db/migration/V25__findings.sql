-- what was found wrong at some time, so that one can tell what was mended since
create table finding (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  kind varchar(40) not null,
  page uuid not null,
  run uuid,
  text varchar(300) not null,
  message varchar(2000) not null,
  mended timestamp with time zone,
  primary key (publication, id)
);
