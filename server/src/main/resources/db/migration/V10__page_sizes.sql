-- a page may have a size of its own
alter table page add column trim json;
