-- A delivery may bring several files; its lines keep their order over all of them.

create table delivery_document (
  delivery_id bigint not null,
  file_no int not null,
  name varchar(200) not null,
  format varchar(20) not null,
  size bigint not null,
  reading longtext not null,
  primary key (delivery_id, file_no)
) engine = InnoDB;

insert into delivery_document (delivery_id, file_no, name, format, size, reading)
select id, 0, name, format, size, reading from delivery;

alter table delivery drop column format, drop column reading;

alter table delivery_file
  add column file_no int not null default 0,
  drop primary key,
  add primary key (delivery_id, file_no, part);

alter table delivery_line
  add column file_no int not null default 0,
  add column position bigint not null default 0;
update delivery_line set position = line_no;
alter table delivery_line
  drop index delivery_line_order,
  add index delivery_line_order (delivery_id, position);
