-- What lines of a delivery were before somebody put them right, so that it can be taken back.

create table delivery_line_before (
  delivery_id bigint not null,
  change_no int not null,
  line_id bigint not null,
  cells longtext not null,
  reading_findings longtext,
  looked_at boolean not null,
  primary key (delivery_id, change_no, line_id),
  index delivery_line_before_line (line_id, change_no)
) engine = InnoDB;
