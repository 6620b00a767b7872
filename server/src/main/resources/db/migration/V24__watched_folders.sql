-- Folders whose files become deliveries, and which of their files did.

create table watched_folder (
  id bigint not null auto_increment,
  name varchar(60) not null,
  name_key varchar(60) collate utf8mb4_bin not null,
  library_id bigint,
  recipe varchar(100),
  created_at datetime(6) not null,
  created_by varchar(100) not null,
  primary key (id),
  unique key watched_folder_name (name_key)
) engine = InnoDB;

create table watched_file (
  folder_id bigint not null,
  name varchar(250) collate utf8mb4_bin not null,
  size bigint not null,
  modified_at bigint not null,
  delivery_id bigint,
  refusal varchar(500),
  primary key (folder_id, name, size, modified_at)
) engine = InnoDB;

alter table delivery
  add library_id bigint,
  add bytes_read bigint not null default 0;
