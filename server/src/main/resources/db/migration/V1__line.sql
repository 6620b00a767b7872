-- The thinnest line: accounts, trail, libraries, deliveries, machines and tool tables.
-- Identities come from sequences, so that many rows can be inserted in one batch.

create sequence account_seq start with 1 increment by 50 nocache;
create table account (
  id bigint not null primary key,
  name varchar(60) not null,
  name_key varchar(60) not null unique,
  role varchar(20) not null,
  password_hash varchar(200) not null
) engine = InnoDB;

create table access_key (
  id bigint not null auto_increment primary key,
  key_hash char(64) not null unique,
  role varchar(20) not null,
  created_at datetime(6) not null default current_timestamp(6)
) engine = InnoDB;

create table sign_in_failure (
  id bigint not null auto_increment primary key,
  name_key varchar(60) not null,
  address varchar(60) not null,
  failed_at datetime(6) not null,
  index sign_in_failure_recent (failed_at)
) engine = InnoDB;

create table SPRING_SESSION (
  primary_id char(36) not null primary key,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100),
  unique index spring_session_ix1 (session_id),
  index spring_session_ix2 (expiry_time),
  index spring_session_ix3 (principal_name)
) engine = InnoDB;

create table SPRING_SESSION_ATTRIBUTES (
  session_primary_id char(36) not null,
  attribute_name varchar(200) not null,
  attribute_bytes blob not null,
  primary key (session_primary_id, attribute_name),
  foreign key (session_primary_id) references SPRING_SESSION (primary_id) on delete cascade
) engine = InnoDB;

create table scheduled_tasks (
  task_name varchar(100) not null,
  task_instance varchar(100) not null,
  task_data blob,
  execution_time timestamp(6) not null,
  picked boolean not null,
  picked_by varchar(50),
  last_success timestamp(6) null,
  last_failure timestamp(6) null,
  consecutive_failures int,
  last_heartbeat timestamp(6) null,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance),
  index execution_time_idx (execution_time),
  index last_heartbeat_idx (last_heartbeat)
) engine = InnoDB;

create sequence trail_seq start with 1 increment by 50 nocache;
create table trail_entry (
  id bigint not null primary key,
  happened_at datetime(6) not null,
  who varchar(60) not null,
  subject_kind varchar(30) not null,
  subject_id varchar(60) not null,
  said varchar(500) not null,
  undo_kind varchar(40),
  undo_data longtext,
  undone_by bigint,
  index trail_subject (subject_kind, subject_id, id)
) engine = InnoDB;

create table live_event (
  id bigint not null auto_increment primary key,
  topic varchar(30) not null,
  subject varchar(60) not null,
  detail varchar(500),
  happened_at datetime(6) not null
) engine = InnoDB;

create sequence library_seq start with 1 increment by 50 nocache;
create table library (
  id bigint not null primary key,
  name varchar(100) not null,
  name_key varchar(100) not null unique
) engine = InnoDB;

create sequence tool_seq start with 1 increment by 1000 nocache;
create table tool (
  id bigint not null primary key,
  code varchar(60) not null,
  code_key varchar(60) collate utf8mb4_bin not null,
  version_id bigint not null,
  version_no int not null,
  unique index tool_code (code_key)
) engine = InnoDB;

create sequence tool_version_seq start with 1 increment by 1000 nocache;
create table tool_version (
  id bigint not null primary key,
  tool_id bigint not null,
  version_no int not null,
  name varchar(200) not null,
  class_id varchar(40) not null,
  hash char(64) character set ascii collate ascii_bin not null,
  vals longtext not null,
  sizes longtext not null,
  origin varchar(200) not null,
  created_at datetime(6) not null,
  created_by varchar(60) not null,
  unique index tool_version_no (tool_id, version_no)
) engine = InnoDB;

-- The columns after section repeat what lists filter and sort by.
create sequence entry_seq start with 1 increment by 1000 nocache;
create table entry (
  id bigint not null primary key,
  library_id bigint not null,
  tool_id bigint not null,
  version_id bigint not null,
  number int not null,
  section varchar(100) not null,
  code varchar(60) not null,
  name varchar(200) not null,
  class_id varchar(40) not null,
  dc decimal(14, 6) not null,
  unique index entry_tool (library_id, tool_id),
  index entry_code (library_id, code, id),
  index entry_dc (library_id, dc, id),
  index entry_class_code (library_id, class_id, code, id),
  index entry_number (library_id, number, id),
  index entry_of_tool (tool_id)
) engine = InnoDB;

create sequence delivery_seq start with 1 increment by 50 nocache;
create table delivery (
  id bigint not null primary key,
  name varchar(200) not null,
  format varchar(20) not null,
  size bigint not null,
  state varchar(20) not null,
  note varchar(500) not null,
  reading longtext not null,
  lines_read bigint not null,
  created_at datetime(6) not null,
  created_by varchar(60) not null
) engine = InnoDB;

create table delivery_file (
  delivery_id bigint not null,
  part int not null,
  bytes mediumblob not null,
  primary key (delivery_id, part)
) engine = InnoDB;

create sequence delivery_line_seq start with 1 increment by 1000 nocache;
create table delivery_line (
  id bigint not null primary key,
  delivery_id bigint not null,
  line_no bigint not null,
  code varchar(60) not null,
  code_key varchar(60) collate utf8mb4_bin not null,
  name varchar(200) not null,
  class_id varchar(40) not null,
  dc decimal(14, 6) not null,
  number int,
  disposition varchar(10) character set ascii not null,
  hash char(64) character set ascii collate ascii_bin not null,
  cells longtext not null,
  findings longtext not null,
  reading_findings longtext,
  looked_at boolean not null,
  taken_tool_id bigint,
  take_no int,
  index delivery_line_order (delivery_id, line_no),
  index delivery_line_code (delivery_id, code_key)
) engine = InnoDB;

create table line_finding (
  line_id bigint not null,
  code varchar(60) character set ascii not null,
  delivery_id bigint not null,
  severity varchar(10) character set ascii not null,
  repair_id varchar(60),
  repair_title varchar(200),
  primary key (line_id, code),
  index line_finding_group (delivery_id, code)
) engine = InnoDB;

create table stop_request (
  work varchar(60) not null primary key
) engine = InnoDB;

create table machine (
  id varchar(20) not null primary key,
  name varchar(100) not null,
  definition longtext not null,
  link varchar(200) not null
) engine = InnoDB;

create table plan_place (
  machine_id varchar(20) not null,
  place varchar(10) not null,
  tool_id bigint not null,
  fields longtext not null,
  primary key (machine_id, place),
  unique index plan_tool (machine_id, tool_id)
) engine = InnoDB;

create table agreed_place (
  machine_id varchar(20) not null,
  place varchar(10) not null,
  fields longtext not null,
  primary key (machine_id, place)
) engine = InnoDB;

create table table_reading (
  id bigint not null auto_increment primary key,
  machine_id varchar(20) not null,
  read_at datetime(6) not null,
  read_by varchar(60) not null,
  content longtext not null,
  index table_reading_latest (machine_id, id)
) engine = InnoDB;

create table table_write (
  id bigint not null auto_increment primary key,
  machine_id varchar(20) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  state varchar(20) not null,
  content longtext not null,
  index table_write_latest (machine_id, id)
) engine = InnoDB;
