-- How people look at lists of tools; a shared one is offered to everybody.
create table list_view (
  id bigint not null auto_increment primary key,
  owner varchar(60) not null,
  name varchar(60) not null,
  name_key varchar(60) collate utf8mb4_bin not null,
  shared boolean not null,
  version_no int not null,
  definition varchar(8000) not null,
  changed_at datetime(6) not null,
  changed_by varchar(60) not null,
  unique index list_view_name (owner, name_key),
  index list_view_shared (shared)
) engine = InnoDB;

alter table plan_place add index plan_of_tool (tool_id);
