-- what an author can undo and redo after a step, as rows that point at each other, so that nobody
-- has to read the steps before it; V9 fills them in for what is there
alter table revision add column undoable bigint;
alter table revision add column redoable bigint;
alter table revision add column beneath bigint;
create index revision_author on revision (publication, author, number);
