-- the look that a look is based on, and what it sets itself
alter table look add column basis json;
