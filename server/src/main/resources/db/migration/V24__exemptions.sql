-- text whose contrast somebody accepts, with the reason; it stays when its text is gone
create table exemption (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position bigint not null,
  run uuid not null,
  why varchar(20) not null,
  reason varchar(500) not null,
  text clob not null,
  ratio double precision not null,
  primary key (publication, id)
);
