-- Libraries that came from an edition of another one, and which of their tools came from which.
create table derived_library (
  library_id bigint not null primary key,
  base_id bigint not null,
  edition_id bigint not null,
  ending varchar(20) not null,
  derived_at datetime(6) not null,
  derived_by varchar(60) not null,
  index derived_library_base (base_id)
) engine = InnoDB;

create table derived_tool (
  tool_id bigint not null primary key,
  library_id bigint not null,
  base_tool_id bigint not null,
  index derived_tool_base (library_id, base_tool_id)
) engine = InnoDB;
