-- colours of a file's pages that are others in what comes of it
alter table asset add column recolored json;
