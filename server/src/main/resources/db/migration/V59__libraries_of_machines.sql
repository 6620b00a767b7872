-- Which library tools for a machine are picked from first, and as which edition it stands there.
create table machine_library (
  machine_id varchar(20) not null primary key,
  library_id bigint not null,
  edition_id bigint,
  index machine_library_of (library_id)
) engine = InnoDB;
