-- A proposal may be collected change by change before it is proposed: one per person and library.
alter table proposal
  add column collected_for varchar(90) as
    (case when state = 'COLLECTED' then concat(library_id, '/', made_by) end) stored,
  add unique index one_collection (collected_for);
