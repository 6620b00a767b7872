-- A tool is found by what holds it too. Entries follow by and by, as they do with their own words.
alter table entry
  add column held_words varchar(600) collate utf8mb4_bin not null default '';

update entry e set e.worded = false
where exists (select 1 from stack s where s.tool_id = e.tool_id);
