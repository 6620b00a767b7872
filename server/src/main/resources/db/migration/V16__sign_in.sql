-- Who signed in from where; guesses from elsewhere do not keep him out there.

drop table sign_in_failure;

create table usual_address (
  name_key varchar(60) collate utf8mb4_bin not null,
  address varchar(60) character set ascii not null,
  seen_at datetime(6) not null,
  primary key (name_key, address)
) engine = InnoDB;

-- Names of accounts that differ by an accent are different names.
alter table account modify column name_key varchar(60) collate utf8mb4_bin not null;
