-- Cutting data of a tool by work material and purpose, with their origin.

create sequence cutting_line_seq start with 1 increment by 50 nocache;
create table cutting_line (
  id bigint not null primary key,
  tool_id bigint not null,
  material varchar(40) not null,
  purpose varchar(60) not null,
  speed decimal(10, 3) not null,
  feed decimal(10, 5) not null,
  depth decimal(10, 4) not null,
  width decimal(10, 4) not null,
  coolant varchar(60) not null,
  origin varchar(20) character set ascii not null,
  said_by varchar(60) not null,
  said_at datetime(6) not null,
  machine varchar(60),
  before_speed decimal(10, 3),
  before_feed decimal(10, 5),
  index cutting_line_tool (tool_id)
) engine = InnoDB;
