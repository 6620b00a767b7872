-- How a planned tool is used in its place, where that is not the usual way.
create table plan_use (
  machine_id varchar(20) not null,
  tool_id bigint not null,
  place varchar(10) not null,
  way longtext not null,
  primary key (machine_id, tool_id)
) engine = InnoDB;
