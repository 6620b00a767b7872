-- What is counted of a delivery while somebody looks at it is read from indexes alone.

alter table delivery_line
  drop index delivery_line_code,
  add index delivery_line_code (delivery_id, code_key, position),
  add index delivery_line_state (delivery_id, disposition, taken_tool_id);
