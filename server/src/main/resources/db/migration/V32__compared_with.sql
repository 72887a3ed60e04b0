-- The second export of two that are held against each other.
alter table job add column compared_with uuid;
