-- what lies behind words of the pages of a file
alter table asset add column backings json;
