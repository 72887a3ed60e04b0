-- the line around the letters of a look, with its swatch, which may not go while it is in use
alter table look add column outline json;
