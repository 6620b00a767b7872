-- Where libraries are written for programs that only read files: into a folder, or behind an
-- address with a key. An edition that is not named is always the newest.
create table outlet (
  id bigint not null auto_increment primary key,
  library_id bigint not null,
  edition_id bigint,
  format varchar(20) character set ascii not null,
  unit varchar(4) character set ascii not null,
  kind varchar(10) character set ascii not null,
  folder varchar(60),
  folder_key varchar(60) collate utf8mb4_bin,
  name varchar(120) not null,
  name_key varchar(120) collate utf8mb4_bin not null,
  key_hash char(64) character set ascii collate ascii_bin,
  version_no int not null default 1,
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  wanted boolean not null default true,
  fault varchar(500),
  tried_at datetime(6),
  written_edition_id bigint,
  written_at datetime(6),
  size bigint not null default 0,
  sha256 char(64) character set ascii not null default '',
  modified_at bigint not null default 0,
  tools bigint not null default 0,
  loss_count bigint not null default 0,
  losses longtext,
  proof longtext,
  unique index outlet_file (folder_key, name_key),
  unique index outlet_key (key_hash),
  index outlet_library (library_id)
) engine = InnoDB;

-- Content behind addresses; that of the writing before stays for whoever is reading it.
create table outlet_part (
  outlet_id bigint not null,
  sha256 char(64) character set ascii collate ascii_bin not null,
  part int not null,
  bytes longblob not null,
  primary key (outlet_id, sha256, part)
) engine = InnoDB;
