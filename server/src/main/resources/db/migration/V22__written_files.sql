-- Files that libraries were written as, with what reading them back came to.

create table written_file (
  id bigint not null auto_increment,
  library_id bigint not null,
  name varchar(200) not null,
  format varchar(20) character set ascii not null,
  unit varchar(4) character set ascii not null,
  size bigint not null,
  sha256 char(64) character set ascii not null,
  tools bigint not null,
  loss_count bigint not null,
  loss_groups longtext not null,
  equal_back boolean not null,
  proof longtext not null,
  created_at datetime(6) not null,
  created_by varchar(100) not null,
  primary key (id),
  key written_file_library (library_id, id)
) engine = InnoDB;

create table written_part (
  file_id bigint not null,
  part int not null,
  bytes longblob not null,
  primary key (file_id, part)
) engine = InnoDB;
