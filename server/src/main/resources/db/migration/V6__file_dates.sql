alter table asset_file add column added timestamp with time zone default current_timestamp not null;
