-- A number belongs to one tool of a library. Twins that a race made get the numbers behind the last.

update entry e
join (
  select id, row_number() over (partition by library_id order by number, id) as place
  from (
    select id, library_id, number,
      row_number() over (partition by library_id, number order by id) as twin
    from entry) numbered
  where twin > 1) twins on twins.id = e.id
join (select library_id, max(number) as top from entry group by library_id) highest
  on highest.library_id = e.library_id
set e.number = highest.top + twins.place;

alter table entry
  drop index entry_number,
  add unique index entry_number (library_id, number);

-- Whoever gives out numbers of a library updates this, so that nobody else does meanwhile.
alter table library add column numbering_no bigint not null default 0;
