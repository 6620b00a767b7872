-- Holders, extensions and other parts have pictures, models and documents as well.

alter table attachment
  change tool_id owner_id bigint not null,
  add owner varchar(10) character set ascii collate ascii_bin not null default 'TOOL' after id,
  drop index attachment_name,
  add unique index attachment_name (owner, owner_id, removed, name_key);
