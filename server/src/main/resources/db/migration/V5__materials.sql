-- Work materials that the shop added.

create table work_material (
  id varchar(40) character set ascii not null primary key,
  name_key varchar(60) not null unique,
  definition text not null,
  added_by varchar(60) not null
) engine = InnoDB;
