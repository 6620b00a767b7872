-- How far each file of a delivery is read, so that reading goes on there and no line is stored twice.

alter table delivery_document
  add column reading_no int not null default 0,
  add column lines_read bigint not null default 0,
  add column finished boolean not null default false,
  add column problem varchar(500);

update delivery_document d join delivery v on v.id = d.delivery_id
set d.finished = (v.state not in ('WAITING', 'READING')),
  d.lines_read = (select count(*) from delivery_line l
    where l.delivery_id = d.delivery_id and l.file_no = d.file_no);
