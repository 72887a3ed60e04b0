-- what lies behind paragraphs and around them: as their look says, or one of its own
alter table look add column panel json;
alter table paragraph add column panel json;
