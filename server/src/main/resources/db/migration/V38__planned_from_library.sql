-- A plan says from which library a tool was picked: that one says its version and its number.
alter table plan_place add library_id bigint;
