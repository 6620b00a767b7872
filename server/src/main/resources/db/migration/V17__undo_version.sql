-- Which form the data has that takes a deed back.
alter table trail_entry add column undo_version int not null default 1 after undo_kind;
