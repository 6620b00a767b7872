-- A list by sections is sorted when somebody asks for it; every arriving tool paid for its index.
alter table entry drop index entry_section_text;
