-- Libraries say what they are for, hold sections of two levels, and hold each tool in a version.

alter table library
  add purpose varchar(500) not null default '',
  add processes varchar(60) character set ascii not null default '',
  add follows boolean not null default true,
  add archived_at datetime(6),
  add put_away_at datetime(6);

create table library_label (
  library_id bigint not null,
  kind varchar(12) character set ascii not null,
  label varchar(60) not null,
  primary key (library_id, kind, label)
) engine = InnoDB;

create table library_range (
  library_id bigint not null,
  subject varchar(40) character set ascii not null,
  first_number int not null,
  last_number int not null,
  primary key (library_id, subject)
) engine = InnoDB;

create sequence section_seq start with 1 increment by 1000 nocache;
create table section (
  id bigint not null primary key,
  library_id bigint not null,
  parent_id bigint not null default 0,
  name varchar(60) not null,
  name_key varchar(60) collate utf8mb4_bin not null,
  place int not null,
  unique index section_name (library_id, parent_id, name_key)
) engine = InnoDB;

create table entry_section (
  entry_id bigint not null,
  section_id bigint not null,
  primary key (entry_id, section_id),
  index entry_section_tools (section_id, entry_id),
  foreign key (entry_id) references entry (id) on delete cascade,
  foreign key (section_id) references section (id) on delete cascade
) engine = InnoDB;

-- A number belongs to one tool of a process. The text of the sections is kept beside them for lists
-- and files.
alter table entry
  add process varchar(8) character set ascii not null default 'MILLING' after number,
  add pinned boolean not null default false after version_id,
  modify section varchar(300) not null,
  drop index entry_number,
  add unique index entry_number (library_id, process, number),
  add index entry_by_number (library_id, number, id),
  add index entry_pinned (pinned, library_id),
  add index entry_section_text (library_id, section, id);

update entry set process = 'TURNING'
where class_id like 'turning-%' or class_id in ('insert', 'insert-grooving', 'knurling-tool');
update entry set process = 'ROUTING'
where class_id like 'router-%' or class_id in ('aggregate', 'drill-panel', 'saw-blade');
update entry set process = 'JET' where class_id like 'jet-%';

update entry
set section = trim(left(replace(replace(section, ' / ', '/'), ';', ','), 60))
where section <> '';

insert into section (id, library_id, parent_id, name, name_key, place)
select next value for section_seq, library_id, 0, name, name_key, place
from (
  select library_id, min(section) as name, lower(section) collate utf8mb4_bin as name_key,
    row_number() over (partition by library_id order by min(section)) as place
  from entry where section <> ''
  group by library_id, lower(section) collate utf8mb4_bin) named;

insert into entry_section (entry_id, section_id)
select e.id, s.id from entry e
join section s on s.library_id = e.library_id and s.name_key = lower(e.section) collate utf8mb4_bin
where e.section <> '';

update entry e join entry_section es on es.entry_id = e.id join section s on s.id = es.section_id
set e.section = s.name;

-- Entries that were taken out many at once, until that is taken back.
create sequence put_away_seq start with 1 increment by 1000 nocache;
create table put_away_entry (
  put_away_id bigint not null,
  id bigint not null,
  library_id bigint not null,
  tool_id bigint not null,
  version_id bigint not null,
  pinned boolean not null,
  number int not null,
  process varchar(8) character set ascii not null,
  section varchar(300) not null,
  code varchar(60) not null,
  name varchar(200) not null,
  class_id varchar(40) not null,
  dc decimal(14, 6) not null,
  section_ids varchar(1000) character set ascii not null,
  primary key (put_away_id, id)
) engine = InnoDB;

-- Lists over all libraries.
alter table entry
  add index entry_of_all_code (code, id),
  add index entry_of_all_name (name, id),
  add index entry_of_all_class (class_id, code, id),
  add index entry_of_all_dc (dc, id);
