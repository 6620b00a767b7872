-- Entries that a size leads to are put in the order of their codes without reading them.
alter table entry
  drop index entry_of_tool,
  add index entry_of_tool (tool_id, version_id, dc, code, id);
