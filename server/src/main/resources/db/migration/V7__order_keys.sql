-- positions leave room between them, so that something can be put in between by writing its row alone
alter table swatch alter column position set data type bigint;
alter table look alter column position set data type bigint;
alter table asset alter column position set data type bigint;
alter table recipe alter column position set data type bigint;
alter table parent alter column position set data type bigint;
alter table page alter column position set data type bigint;
alter table background alter column position set data type bigint;
alter table frame alter column position set data type bigint;
update swatch set position = position * 1048576;
update look set position = position * 1048576;
update asset set position = position * 1048576;
update recipe set position = position * 1048576;
update parent set position = position * 1048576;
update page set position = position * 1048576;
update background set position = position * 1048576;
update frame set position = position * 1048576;
