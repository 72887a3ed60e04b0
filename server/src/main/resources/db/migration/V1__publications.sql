create table publication (
  id uuid primary key,
  name varchar(480) not null,
  setup json not null,
  revision bigint not null,
  changed timestamp with time zone not null
);

create table swatch (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  name varchar(480) not null,
  kind varchar(16) not null,
  color json,
  base uuid,
  other uuid,
  percent double precision,
  primary key (publication, id),
  foreign key (publication, base) references swatch (publication, id),
  foreign key (publication, other) references swatch (publication, id)
);

create table look (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  name varchar(480) not null,
  family varchar(120) not null,
  weight int not null,
  size varchar(40) not null,
  leading varchar(40) not null,
  space_before varchar(40) not null,
  alignment varchar(16) not null,
  swatch uuid not null,
  tint double precision not null,
  primary key (publication, id),
  foreign key (publication, swatch) references swatch (publication, id)
);

create table parent (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  name varchar(480) not null,
  primary key (publication, id)
);

create table page (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  parent uuid,
  parent_shown boolean not null,
  primary key (publication, id),
  foreign key (publication, parent) references parent (publication, id)
);

create table background (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  page uuid,
  parent uuid,
  sides varchar(8) not null,
  area json not null,
  fill varchar(16) not null,
  swatch uuid,
  tint double precision,
  primary key (publication, id),
  foreign key (publication, page) references page (publication, id) on delete cascade,
  foreign key (publication, parent) references parent (publication, id) on delete cascade,
  foreign key (publication, swatch) references swatch (publication, id),
  check ((page is null) <> (parent is null))
);

create table frame (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  page uuid,
  parent uuid,
  sides varchar(8) not null,
  box json not null,
  primary key (publication, id),
  foreign key (publication, page) references page (publication, id) on delete cascade,
  foreign key (publication, parent) references parent (publication, id) on delete cascade,
  check ((page is null) <> (parent is null))
);

create table paragraph (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  frame uuid not null,
  look uuid not null,
  primary key (publication, id),
  foreign key (publication, frame) references frame (publication, id) on delete cascade,
  foreign key (publication, look) references look (publication, id)
);

create table run (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position int not null,
  paragraph uuid not null,
  text clob not null,
  swatch uuid,
  tint double precision,
  primary key (publication, id),
  foreign key (publication, paragraph) references paragraph (publication, id) on delete cascade,
  foreign key (publication, swatch) references swatch (publication, id)
);

create table revision (
  publication uuid not null references publication on delete cascade,
  number bigint not null,
  author varchar(64) not null,
  kind varchar(8) not null,
  reverses bigint,
  patch json not null,
  made timestamp with time zone not null,
  primary key (publication, number)
);

create table revision_touch (
  publication uuid not null,
  number bigint not null,
  element uuid not null,
  primary key (publication, number, element),
  foreign key (publication, number) references revision (publication, number) on delete cascade
);

create table job (
  id uuid primary key,
  publication uuid not null references publication on delete cascade,
  revision bigint not null,
  kind varchar(32) not null,
  state varchar(16) not null,
  file_name varchar(120) not null,
  message varchar(2000) not null,
  report json,
  started timestamp with time zone not null
);

create table press_condition (
  id varchar(64) primary key,
  name varchar(480) not null,
  ink_limit double precision not null,
  profile blob not null
);
