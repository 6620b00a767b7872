-- What somebody names is compared with these, in whatever script it is written.
alter table work_material modify id varchar(40) character set utf8mb4 collate utf8mb4_bin not null;
alter table line_finding
  modify code varchar(60) character set utf8mb4 collate utf8mb4_bin not null,
  modify kind varchar(60) character set utf8mb4 collate utf8mb4_bin not null;
