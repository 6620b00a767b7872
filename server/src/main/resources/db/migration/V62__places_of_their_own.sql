-- Places that are kept for one tool, which stands nowhere else in its machine.
create table own_place (
  machine_id varchar(20) not null,
  place varchar(10) not null,
  tool_id bigint not null,
  primary key (machine_id, place),
  unique index own_place_tool (machine_id, tool_id)
) engine = InnoDB;
