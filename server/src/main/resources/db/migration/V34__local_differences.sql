-- how paragraphs and words differ from their looks
alter table paragraph add column local json;
alter table run add column local json;
