-- Which tool the stack of a part holds: what hangs on a holder is found by one index, without
-- looking each of its stacks up. It is always the tool of the stack.

alter table stack_part add column tool_id bigint;
update stack_part p join stack s on s.id = p.stack_id set p.tool_id = s.tool_id;
alter table stack_part
  modify column tool_id bigint not null,
  drop index stack_part_component,
  add index stack_part_component (component_id, tool_id);
alter table stack add unique index stack_of_tool (id, tool_id);
alter table stack_part
  add constraint stack_part_of_stack foreign key (stack_id, tool_id) references stack (id, tool_id);
