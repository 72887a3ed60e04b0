-- How an export is made, for those that have settings; and settings that are kept under a name.
alter table job add column settings json;

create table output_setting (
    id uuid primary key,
    name varchar(200) not null,
    settings json not null,
    constraint output_setting_name unique (name)
);
