-- Tools of one diameter are found in the order of their codes.
alter table entry
  add index entry_of_all_dc_code (dc, code, id);
