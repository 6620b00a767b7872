-- With which of its posts a machine works.
create table machine_post (
  machine_id varchar(20) not null primary key,
  post_id bigint not null
) engine = InnoDB;
