-- Several of one tool may stand in a machine: a use belongs to its place.
alter table plan_place
  drop index plan_tool,
  add index plan_tool (machine_id, tool_id);

delete u from plan_use u
  left join plan_place p
    on p.machine_id = u.machine_id and p.place = u.place and p.tool_id = u.tool_id
  where p.tool_id is null;
alter table plan_use
  drop primary key,
  add primary key (machine_id, place);

alter table own_place
  drop index own_place_tool,
  add index own_place_tool (machine_id, tool_id);
