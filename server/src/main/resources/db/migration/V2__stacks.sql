-- Holders, extensions, collets and arbors, and the stacks that are built from them.

create sequence component_seq start with 1 increment by 50 nocache;
create table component (
  id bigint not null primary key,
  code varchar(60) not null,
  code_key varchar(60) collate utf8mb4_bin not null,
  name varchar(200) not null,
  definition longtext not null,
  retired boolean not null,
  unique index component_code (code_key)
) engine = InnoDB;

create sequence stack_seq start with 1 increment by 50 nocache;
create table stack (
  id bigint not null primary key,
  tool_id bigint not null,
  name varchar(100) not null,
  seat varchar(40) not null,
  projection decimal(10, 4) not null,
  index stack_tool (tool_id)
) engine = InnoDB;

create table stack_part (
  stack_id bigint not null,
  place int not null,
  component_id bigint not null,
  primary key (stack_id, place),
  index stack_part_component (component_id)
) engine = InnoDB;
