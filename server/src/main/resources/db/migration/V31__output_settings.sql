-- How an export is made, for those that have settings; and settings that are kept under a name.
alter table job add column settings json;
-- The export whose file is held against the publication as it is now.
alter table job add column compared uuid;

create table output_setting (
    id uuid primary key,
    name varchar(200) not null,
    settings json not null,
    constraint output_setting_name unique (name)
);
