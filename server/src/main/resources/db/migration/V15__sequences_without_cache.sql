-- A replicated database refuses sequences that give out values from a cache of one node.

alter sequence cutting_line_seq nocache;
alter sequence component_seq nocache;
alter sequence stack_seq nocache;
alter sequence account_seq nocache;
alter sequence trail_seq nocache;
alter sequence library_seq nocache;
alter sequence tool_seq nocache;
alter sequence tool_version_seq nocache;
alter sequence entry_seq nocache;
alter sequence delivery_seq nocache;
alter sequence delivery_line_seq nocache;
