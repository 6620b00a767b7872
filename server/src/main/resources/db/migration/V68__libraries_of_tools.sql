-- In which libraries tools stand is read without the rows themselves: whether somebody sees them,
-- and which libraries a change of a holder touches.
alter table entry
  add index entry_of_tool_library (tool_id, library_id);
