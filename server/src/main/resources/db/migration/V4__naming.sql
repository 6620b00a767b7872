-- Naming patterns of libraries, and codes that are not free though no tool carries them.

alter table library
  add column code_pattern varchar(200) not null default '',
  add column name_pattern varchar(200) not null default '';

create table held_code (
  code_key varchar(60) collate utf8mb4_bin not null primary key,
  code varchar(60) not null,
  tool_id bigint,
  holder varchar(60) not null,
  until datetime(6)
) engine = InnoDB;
