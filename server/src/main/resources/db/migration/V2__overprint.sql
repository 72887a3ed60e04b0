alter table look add column overprint varchar(8) default 'BLACK' not null;
