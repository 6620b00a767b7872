-- What somebody said that solids of a shape are: proposed for others of that shape.
create table named_shape (
  shape_key char(64) character set ascii not null primary key,
  kind varchar(20) not null,
  class_id varchar(40) not null,
  named_by varchar(100) not null,
  named_at datetime(6) not null
);
