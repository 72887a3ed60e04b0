-- fonts that somebody brought along, for all publications
create table typeface (
  id uuid primary key,
  file_name varchar(480) not null,
  font json not null,
  program blob not null
);
