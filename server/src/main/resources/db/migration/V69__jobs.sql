-- Jobs: on which machine they run and which tools their programs call by which numbers.
create table job (
  id bigint not null auto_increment primary key,
  name varchar(80) not null,
  name_key varchar(80) collate utf8mb4_bin,
  part varchar(80) not null default '',
  machine_id varchar(20) not null,
  finished_at datetime(6),
  version_no int not null default 1,
  deleted_at datetime(6),
  unique index job_name (name_key),
  index job_machine (machine_id)
) engine = InnoDB;

create table job_tool (
  job_id bigint not null,
  tool_no int not null,
  tool_id bigint not null,
  library_id bigint,
  primary key (job_id, tool_no),
  index job_of_tool (tool_id),
  index job_of_library (library_id)
) engine = InnoDB;
