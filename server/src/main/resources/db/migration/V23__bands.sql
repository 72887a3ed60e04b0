-- the band along an edge of a page that the text of a frame stands in
alter table frame add column band json;
