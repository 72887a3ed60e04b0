-- an exception may be for text that is written in the page of a file
alter table exemption add column imported_asset uuid;
alter table exemption add column imported_page int;
alter table exemption add constraint exemption_imported
  check ((imported_asset is null) = (imported_page is null));
