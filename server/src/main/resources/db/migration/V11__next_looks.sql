-- no foreign key: two looks may follow each other, and one of them is written first
alter table look add column next uuid;
