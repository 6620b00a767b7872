-- What became different at controls between two readings.
create table table_change (
  id bigint not null auto_increment primary key,
  machine_id varchar(20) not null,
  place varchar(10) not null,
  field varchar(60) not null,
  was varchar(300),
  became varchar(300),
  seen_at datetime(6) not null,
  unchanged_at datetime(6) not null,
  written_by varchar(60),
  index table_change_machine (machine_id, id),
  index table_change_place (machine_id, place, id)
) engine = InnoDB;

-- When each control was asked last, and since when it does not answer.
create table table_watch (
  machine_id varchar(20) not null primary key,
  asked_at datetime(6) null,
  answered_at datetime(6) null,
  silent_since datetime(6) null,
  problem varchar(500)
) engine = InnoDB;
