-- What a line was before somebody said that it is something else.
alter table delivery_line_before
  add column kind varchar(20);
