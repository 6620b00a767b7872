-- What tools and lines are compared by besides their codes: all dimensions, and the insert that
-- they are or take.

alter table tool_version
  add dimension_key bigint,
  add insert_key varchar(40) collate utf8mb4_bin,
  add index tool_version_dimensions (dimension_key),
  add index tool_version_insert (insert_key, class_id);

alter table delivery_line
  add dimension_key bigint,
  add insert_key varchar(40) collate utf8mb4_bin,
  add twin_position bigint,
  add looks_beyond boolean not null default false;

update tool_version
set insert_key = left(
  upper(replace(substring_index(json_value(vals, '$.MIID.text'), '-', 1), ' ', '')), 40)
where json_exists(vals, '$.MIID.text');
