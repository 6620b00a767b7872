-- Lines with the same dimensions, and those that look beyond themselves, are found without reading
-- whole lines.

alter table delivery_line
  add index delivery_line_alike (delivery_id, dimension_key, position, looks_beyond);
