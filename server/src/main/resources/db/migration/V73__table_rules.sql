-- What was decided once for all about places of a machine's tool table.
create table table_rule (
  machine_id varchar(20) not null,
  question varchar(60) not null,
  decision varchar(20) not null,
  made_by varchar(60) not null,
  made_at datetime(6) not null,
  primary key (machine_id, question)
) engine = InnoDB;
