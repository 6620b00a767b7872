-- What a shop has decided for itself: one row.
create table shop_rules (
  id tinyint not null primary key check (id = 1),
  rules varchar(2000) not null,
  version_no int not null
) engine = InnoDB;

insert into shop_rules values (1, '{}', 1);
