-- What findings are listed under: all values that are missing, or that follow, are one question.
alter table line_finding add column kind varchar(60) character set ascii not null default '' after code;
update line_finding set kind =
  if(substring_index(code, '.', 1) in ('missing', 'implied'), substring_index(code, '.', 1), code);
alter table line_finding alter column kind drop default;
alter table line_finding add index line_finding_kind (delivery_id, kind), drop index line_finding_group;
