-- What is sent to a control is recorded before, with each answer as it comes, and with its outcome.

alter table table_write
  change column written_at begun_at datetime(6) not null,
  add column ended_at datetime(6),
  add column problem varchar(1000);
update table_write set ended_at = begun_at;

create table table_write_file (
  write_id bigint not null,
  file_no int not null,
  name varchar(100) not null,
  content longtext not null,
  sent_at datetime(6),
  answered_at datetime(6),
  answer varchar(1000),
  primary key (write_id, file_no)
) engine = InnoDB;

-- One writing at a time for each control, by whichever server.
create table table_claim (
  machine_id varchar(20) not null primary key,
  holder varchar(60) not null,
  until datetime(6) not null
) engine = InnoDB;

-- Only the last readings are kept.
delete r from table_reading r
join (
  select id, row_number() over (partition by machine_id order by id desc) as age
  from table_reading) aged on aged.id = r.id
where aged.age > 20;

-- Whoever changes a plan updates this first, so that nobody else does meanwhile.
alter table machine add column lock_no bigint not null default 0;
