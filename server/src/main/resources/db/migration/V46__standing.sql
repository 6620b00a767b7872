-- How far the shop trusts a tool: 0 draft, 1 checked, 2 released, 3 retired. It stands beside each
-- entry too, by which lists are ordered.
alter table tool
  add column standing tinyint not null default 1,
  add column standing_by varchar(60),
  add column standing_at datetime(6);

alter table entry
  add column standing tinyint not null default 1,
  add index entry_standing (library_id, standing, code, id),
  add index entry_of_all_standing (standing, code, id);
