-- Stacks keep their versions, so that two who change one at once can be joined field by field.

alter table stack
  change column projection overhang decimal(10, 4) not null,
  add column version_no int not null default 1;

create table stack_version (
  stack_id bigint not null,
  version_no int not null,
  state longtext not null,
  saved_at datetime(6) not null,
  saved_by varchar(60) not null,
  primary key (stack_id, version_no)
) engine = InnoDB;

alter table cutting_line add column version_no int not null default 1;

-- The trail is read by the time at which something happened: identities come in blocks per server.
alter table trail_entry add index trail_time (happened_at, id);

-- Whoever must exclude others changes the row first: on a replicated database only that is seen by
-- all nodes.
alter table component add column lock_no bigint not null default 0;
alter table stack add column lock_no bigint not null default 0;
alter table delivery add column lock_no bigint not null default 0;
alter table tool add column lock_no bigint not null default 0;
