-- What post-processors need of tools, and the operation defaults that come with them.
create table post (
  id bigint not null auto_increment primary key,
  name varchar(80) not null,
  name_key varchar(80) collate utf8mb4_bin,
  machine_id varchar(20),
  library_id bigint,
  edition_id bigint,
  definition longtext not null,
  version_no int not null default 1,
  deleted_at datetime(6),
  unique index post_name (name_key),
  index post_machine (machine_id)
) engine = InnoDB;

-- Every version of the defaults of a post is kept.
create table post_defaults (
  post_id bigint not null,
  version_no int not null,
  content longtext not null,
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  primary key (post_id, version_no)
) engine = InnoDB;

-- Single defaults that a machine or a person has otherwise.
create table own_default (
  post_id bigint not null,
  machine_id varchar(20) not null default '',
  account_id bigint not null default 0,
  name varchar(40) character set ascii not null,
  content varchar(60) not null,
  primary key (post_id, machine_id, account_id, name)
) engine = InnoDB;
