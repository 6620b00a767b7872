-- By which sizes a search finds a tool: filled behind those who change entries, as words are.
create table version_size (
  symbol varchar(8) character set ascii collate ascii_bin not null,
  size decimal(30, 10) not null,
  version_id bigint not null,
  tool_id bigint not null,
  primary key (symbol, size, version_id)
) engine = InnoDB;

update entry set worded = false;
