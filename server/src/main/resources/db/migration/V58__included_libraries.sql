-- Libraries that hold the tools of another one, or of a section of it, by reference.
create table library_include (
  id bigint not null auto_increment primary key,
  library_id bigint not null,
  from_id bigint not null,
  section_id bigint not null default 0,
  seen_no bigint not null default -1,
  refused int not null default 0,
  refusal varchar(300) not null default '',
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  unique index library_include_once (library_id, from_id, section_id),
  index library_include_from (from_id)
) engine = InnoDB;

-- By which of these an entry came; nothing for one that somebody put there.
alter table entry
  add column include_id bigint,
  add index entry_include (include_id);

alter table put_away_entry
  add column include_id bigint;
