-- text is in stories, which run through frames; each frame has been one by itself.
-- The id of its story is its own with the last bit turned, so that older steps find it, too.
create table story (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position bigint not null,
  primary key (publication, id)
);

insert into story (publication, id, position)
select publication,
       cast(bitxor(cast(id as binary(16)), X'00000000000000000000000000000001') as uuid),
       row_number() over (partition by publication order by position, id) * 1048576
from frame;

create table link (
  publication uuid not null references publication on delete cascade,
  story uuid not null,
  position int not null,
  frame uuid not null,
  primary key (publication, story, position),
  foreign key (publication, story) references story (publication, id) on delete cascade,
  foreign key (publication, frame) references frame (publication, id) on delete cascade
);

insert into link (publication, story, position, frame)
select publication,
       cast(bitxor(cast(id as binary(16)), X'00000000000000000000000000000001') as uuid),
       0,
       id
from frame;

alter table run rename to old_run;
alter table paragraph rename to old_paragraph;

create table paragraph (
  publication uuid not null references publication on delete cascade,
  id uuid not null,
  position bigint not null,
  story uuid not null,
  look uuid not null,
  primary key (publication, id),
  foreign key (publication, story) references story (publication, id) on delete cascade,
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

insert into paragraph (publication, id, position, story, look)
select publication,
       id,
       (position + 1) * 1048576,
       cast(bitxor(cast(frame as binary(16)), X'00000000000000000000000000000001') as uuid),
       look
from old_paragraph;

insert into run (publication, id, position, paragraph, text, swatch, tint)
select publication, id, position, paragraph, text, swatch, tint
from old_run;

-- whoever changed a frame may have changed its text
insert into revision_touch (publication, number, element)
select t.publication, t.number, p.id
from revision_touch t
join old_paragraph p on p.publication = t.publication and p.frame = t.element
where not exists (
  select 1 from revision_touch other
  where other.publication = t.publication and other.number = t.number and other.element = p.id
);

drop table old_run;
drop table old_paragraph;
