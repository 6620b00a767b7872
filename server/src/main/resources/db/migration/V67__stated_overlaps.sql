-- Places that tools of no round shape cover beside their own at a machine.
create table stated_overlap (
  machine_id varchar(20) not null,
  tool_id bigint not null,
  plus_no int not null,
  minus_no int not null,
  primary key (machine_id, tool_id),
  index overlap_of_tool (tool_id)
) engine = InnoDB;
