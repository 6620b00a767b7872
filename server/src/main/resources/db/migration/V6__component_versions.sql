-- Components keep their versions, so that a stack can stay with one while others follow the newest.

alter table component add column version_no int not null default 1;

create table component_version (
  component_id bigint not null,
  version_no int not null,
  definition longtext not null,
  saved_at datetime(6) not null,
  saved_by varchar(60) not null,
  primary key (component_id, version_no)
) engine = InnoDB;

insert into component_version (component_id, version_no, definition, saved_at, saved_by)
select id, 1, definition, now(6), 'before versions were kept' from component;

alter table stack_part add column version_no int;
