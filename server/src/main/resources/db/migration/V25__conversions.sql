-- Conversions of files as background work, their sources and results in parts.

create table conversion (
  id bigint not null auto_increment,
  name varchar(200) not null,
  format varchar(20) character set ascii not null,
  unit varchar(4) character set ascii not null,
  state varchar(10) character set ascii not null,
  note varchar(500) not null,
  items bigint not null default 0,
  files_done int not null default 0,
  files int not null default 0,
  report longtext,
  created_at datetime(6) not null,
  created_by varchar(100) not null,
  primary key (id)
) engine = InnoDB;

create table conversion_part (
  conversion_id bigint not null,
  file_no int not null,
  part int not null,
  bytes longblob not null,
  primary key (conversion_id, file_no, part)
) engine = InnoDB;
