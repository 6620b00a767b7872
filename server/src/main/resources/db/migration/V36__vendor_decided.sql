-- What a vendor said when somebody decided that nothing of it is taken: the next release is
-- compared with it, so that nobody is asked twice.
create table vendor_decided (
  delivery_id bigint not null,
  item_key varchar(60) collate utf8mb4_bin not null,
  vendor_key varchar(100) collate utf8mb4_bin not null,
  release_name varchar(60) not null,
  kind varchar(20) not null,
  cells mediumtext not null,
  primary key (delivery_id, item_key),
  index vendor_decided_item (vendor_key, item_key)
);
