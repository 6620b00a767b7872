-- Recipes: saved ways to read foreign tables, each saving a row of its own.

create table recipe (
  id bigint not null auto_increment,
  name varchar(100) not null,
  name_key varchar(100) collate utf8mb4_bin not null,
  number int not null,
  body longtext not null,
  created_at datetime(6) not null,
  created_by varchar(100) not null,
  put_away_at datetime(6),
  primary key (id),
  unique key recipe_once (name_key, number)
) engine = InnoDB;
