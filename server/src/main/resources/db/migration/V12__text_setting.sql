-- nothing for what was set before there was a choice: as usual
alter table look add column setting json;
