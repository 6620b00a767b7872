-- By what lists of tools are grouped besides their own values: it stands beside each entry.
alter table entry
  add column holder varchar(60) not null default '',
  add column materials varchar(200) not null default '';

update entry e
set e.holder = coalesce((
    select c.code from stack s
    join stack_part p on p.stack_id = s.id and p.place = 0
    join component c on c.id = p.component_id
    where s.tool_id = e.tool_id order by s.id limit 1), ''),
  e.materials = coalesce((
    select left(group_concat(distinct d.material order by d.material separator ', '), 200)
    from cutting_line d where d.tool_id = e.tool_id and d.material <> ''), '');

alter table entry
  add index entry_holder (library_id, holder, code, id),
  add index entry_materials (library_id, materials, code, id),
  add index entry_of_all_holder (holder, code, id),
  add index entry_of_all_materials (materials, code, id);
