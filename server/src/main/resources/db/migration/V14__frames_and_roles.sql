-- nothing for what was there before there was a choice: one column, no inset, from the top
alter table frame add column setting json;
-- what paragraphs of a look are to whoever reads
alter table look add column role varchar(16);
