-- Libraries as they were published. What a tool was is kept once for all editions that have it.
create sequence edition_seq start with 1 increment by 1000 nocache;
create table edition (
  id bigint not null primary key,
  library_id bigint not null,
  edition_no int not null,
  words varchar(500) not null,
  hash char(64) character set ascii collate ascii_bin not null,
  tools int not null,
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  unique index edition_no (library_id, edition_no)
) engine = InnoDB;

create table edition_tool (
  edition_id bigint not null,
  tool_id bigint not null,
  version_id bigint not null,
  number int not null,
  section varchar(300) not null,
  code varchar(60) not null,
  name varchar(200) not null,
  class_id varchar(40) not null,
  content_hash char(64) character set ascii collate ascii_bin not null,
  primary key (edition_id, tool_id),
  index edition_tool_code (edition_id, code, tool_id)
) engine = InnoDB;

create table edition_content (
  hash char(64) character set ascii collate ascii_bin not null primary key,
  content longtext not null
) engine = InnoDB;

-- Holders and other parts of the stacks in an edition.
create table edition_part (
  edition_id bigint not null,
  code varchar(60) not null,
  content_hash char(64) character set ascii collate ascii_bin not null,
  primary key (edition_id, code)
) engine = InnoDB;
