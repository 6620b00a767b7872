-- Entries that a size leads to are told apart by version and diameter without reading them.
alter table entry
  drop index entry_of_tool,
  add index entry_of_tool (tool_id, version_id, dc);
