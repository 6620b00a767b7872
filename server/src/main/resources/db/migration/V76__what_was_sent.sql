-- What each writing sent for places, so that whoever reads the control first knows whose change it is.
create table table_write_place (
  write_id bigint not null,
  place varchar(10) not null,
  fields longtext not null,
  primary key (write_id, place)
) engine = InnoDB;
