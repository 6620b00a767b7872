-- Several pieces of one tool are told apart by sister numbers; the first needs none.
update plan_place p
join (
  select machine_id, place,
    row_number() over (partition by machine_id, tool_id order by length(place), place) as sister
  from plan_place
) counted using (machine_id, place)
set p.fields = json_set(p.fields, '$.fields.SISTER', cast(counted.sister as char))
where counted.sister > 1 and json_value(p.fields, '$.fields.SISTER') is null;
