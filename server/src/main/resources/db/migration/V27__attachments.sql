-- Files that belong to tools: pictures, models, data sheets. Their content is kept once.

create table content (
  sha256 char(64) character set ascii collate ascii_bin not null primary key,
  size bigint not null
) engine = InnoDB;

create table content_part (
  sha256 char(64) character set ascii collate ascii_bin not null,
  part int not null,
  bytes longblob not null,
  primary key (sha256, part)
) engine = InnoDB;

-- A removed one keeps its row for the undo; "removed" is then its own id, so that a name is free
-- again.
create table attachment (
  id bigint not null auto_increment primary key,
  tool_id bigint not null,
  name varchar(150) not null,
  name_key varchar(150) collate utf8mb4_bin not null,
  media_type varchar(60) character set ascii not null,
  size bigint not null,
  sha256 char(64) character set ascii collate ascii_bin not null,
  removed bigint not null default 0,
  created_at datetime(6) not null,
  created_by varchar(100) not null,
  unique index attachment_name (tool_id, removed, name_key)
) engine = InnoDB;

alter table delivery_document
  add path varchar(500) not null default '',
  add sha256 char(64) character set ascii collate ascii_bin;
