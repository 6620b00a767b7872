-- People come by invitation, can be shut out, and have keys of their own.
alter table account
  modify password_hash varchar(200),
  add column created_at datetime(6) not null default current_timestamp(6),
  add column signed_in_at datetime(6),
  add column disabled_at datetime(6),
  add column default_library_id bigint;

create table invitation (
  token_hash char(64) character set ascii collate ascii_bin not null primary key,
  account_id bigint not null,
  ends_at datetime(6) not null,
  index invitation_of_account (account_id)
) engine = InnoDB;

-- A key without an account stands for a role. Without scopes it may do all that its role may.
alter table access_key
  add column account_id bigint,
  add column name varchar(60) not null default '',
  add column scopes varchar(100) character set ascii,
  add column used_at datetime(6),
  add index access_key_of_account (account_id);

-- Who may do what in a library; what is not said follows from how it is shared.
alter table library
  add column sharing varchar(10) character set ascii not null default 'SHOP',
  add index library_sharing (sharing);

create table library_right (
  library_id bigint not null,
  account_id bigint not null default 0,
  role varchar(20) character set ascii not null default '',
  held varchar(10) character set ascii not null,
  primary key (library_id, account_id, role),
  index library_right_of_account (account_id)
) engine = InnoDB;
