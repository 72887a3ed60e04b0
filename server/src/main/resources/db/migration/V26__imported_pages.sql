-- a page may be one of a file that somebody else made
alter table page add column imported_asset uuid;
alter table page add column imported_page int;
alter table page add foreign key (publication, imported_asset) references asset (publication, id);
alter table page add constraint page_imported
  check ((imported_asset is null) = (imported_page is null));

-- and a background may lie over it
alter table background add column over_page boolean not null default false;
