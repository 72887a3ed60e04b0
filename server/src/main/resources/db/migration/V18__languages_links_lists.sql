-- what stands before each paragraph of a look
alter table look add column list json;
-- the number that a paragraph has in its list, where it is not the next one
alter table paragraph add column number int;
-- the language of words, and where they lead
alter table story add column language varchar(30);
alter table run add column language varchar(30);
alter table run add column link json;
