-- By what words a search finds an entry: with it as a text, and in a table that follows by and by.
alter table entry
  add column words varchar(600) collate utf8mb4_bin not null default '',
  add column worded boolean not null default false,
  drop index entry_dc,
  drop index entry_of_all_dc,
  add index entry_dc (library_id, dc, class_id, id),
  add index entry_of_all_dc (dc, class_id, id),
  add index entry_section (library_id, section, code, id),
  add index entry_worded (worded, id);

update entry
set words = left(concat(' ', lower(regexp_replace(concat(code, ' ', name), '[^[:alnum:].]+', ' '))), 600);

alter table put_away_entry
  add column words varchar(600) collate utf8mb4_bin not null default '';

update put_away_entry
set words = left(concat(' ', lower(regexp_replace(concat(code, ' ', name), '[^[:alnum:].]+', ' '))), 600);

create table entry_word (
  word varchar(24) collate utf8mb4_bin not null,
  entry_id bigint not null,
  primary key (word, entry_id)
) engine = InnoDB;
