-- Which vendor a delivery comes from, in which release, and what is wrong with it as a whole.
create table vendor_package (
  delivery_id bigint not null primary key,
  vendor varchar(100) not null,
  vendor_key varchar(100) collate utf8mb4_bin not null,
  release_name varchar(60) not null,
  manifest varchar(500) not null,
  faults mediumtext not null,
  not_compared mediumtext not null,
  index vendor_package_vendor (vendor_key)
);

-- What was taken of a vendor: its item, as the vendor said it, and what it became. One row for each
-- taking; the last one is what a newer release is compared with.
create table vendor_item (
  id bigint not null auto_increment primary key,
  vendor_key varchar(100) collate utf8mb4_bin not null,
  item_key varchar(60) collate utf8mb4_bin not null,
  vendor varchar(100) not null,
  item varchar(60) not null,
  release_name varchar(60) not null,
  kind varchar(20) not null,
  target_id bigint not null,
  cells mediumtext not null,
  delivery_id bigint not null,
  taken_at datetime(6) not null,
  taken_by varchar(100) not null,
  index vendor_item_item (vendor_key, item_key, id),
  index vendor_item_target (target_id, kind)
);

-- Items that a vendor no longer makes, as somebody noted from a release.
create table vendor_discontinued (
  vendor_key varchar(100) collate utf8mb4_bin not null,
  item_key varchar(60) collate utf8mb4_bin not null,
  release_name varchar(60) not null,
  noted_at datetime(6) not null,
  noted_by varchar(100) not null,
  primary key (vendor_key, item_key)
);

-- By what the vendor calls it and what the vendor said, whatever is corrected afterwards; and
-- whether it was held against its model: DONE, ASKED (it will be) or LEFT (somebody stopped it).
alter table delivery_line
  add column vendor_item varchar(60),
  add column vendor_cells mediumtext,
  add column inspection varchar(10) character set ascii not null default 'DONE',
  add index delivery_line_inspection (delivery_id, inspection),
  add index delivery_line_vendor (delivery_id, vendor_item);

-- The version that a part had before a taking changed it.
alter table taken_piece add column version_no int not null default 0;

-- Which package of the vendor dispatch came as which delivery.
create table fetched_package (
  package_id varchar(80) collate utf8mb4_bin not null primary key,
  sha256 char(64) character set ascii not null,
  delivery_id bigint not null,
  index fetched_package_delivery (delivery_id)
);

-- What a line's stacks were before somebody changed how far its tool stands out.
alter table delivery_line_before
  add column stacks mediumtext,
  add column stacks_kept boolean not null default false;

-- The same of its cutting data.
alter table delivery_line_before add column cutting mediumtext;
