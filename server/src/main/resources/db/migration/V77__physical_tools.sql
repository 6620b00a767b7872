-- Real pieces of tools: their labels, how they are and where, what they have cut and measured.
create table physical_tool (
  id bigint not null auto_increment primary key,
  serial varchar(40) character set ascii collate ascii_bin not null,
  tool_id bigint not null,
  -- For which machine it is assembled; null for none.
  for_machine varchar(20),
  state varchar(10) character set ascii not null,
  where_kind varchar(10) character set ascii not null,
  -- The machine that has it, and the place of its storage; an empty place is its spindle.
  machine_id varchar(20),
  place varchar(20) not null default '',
  assembled_at datetime(6),
  assembled_by varchar(60),
  -- What was put together: codes from the gauge line on, and its gauge length in mm.
  parts varchar(400) not null default '',
  regrinds int not null default 0,
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  version_no int not null default 1,
  deleted_at datetime(6),
  unique index physical_serial (serial),
  unique index physical_where (machine_id, place),
  index physical_of_tool (tool_id),
  index physical_for (for_machine)
) engine = InnoDB;

create table physical_measurement (
  id bigint not null auto_increment primary key,
  physical_id bigint not null,
  field varchar(24) character set ascii not null,
  -- Exact decimal, mm; null where nothing says what it should be.
  size varchar(40) character set ascii not null,
  nominal varchar(40) character set ascii,
  -- As it was typed or received.
  entered varchar(40) not null,
  gauge varchar(20) character set ascii not null,
  measured_at datetime(6) not null,
  measured_by varchar(60) not null,
  regrinds int not null,
  -- What was suspected of it and answered by whoever measured it; empty where nothing was.
  although varchar(24) character set ascii not null default '',
  index measured_piece (physical_id, field, id),
  index measured_by_whom (measured_by, measured_at)
) engine = InnoDB;

create table physical_cut (
  physical_id bigint not null,
  material_id varchar(40) character set ascii not null,
  noted_at datetime(6) not null,
  noted_by varchar(60) not null,
  primary key (physical_id, material_id)
) engine = InnoDB;
