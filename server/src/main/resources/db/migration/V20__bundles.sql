-- Deliveries bring parts, stacks and cutting data beside tools; what came with a taking is known.

alter table delivery_line
  add kind varchar(12) character set ascii not null default 'CUTTER' after line_no,
  add owner varchar(70) collate utf8mb4_bin,
  add cutting longtext,
  add stacks longtext,
  change taken_tool_id taken_id bigint,
  drop index delivery_line_state,
  add index delivery_line_state (delivery_id, disposition, taken_id, kind),
  add index delivery_line_owner (delivery_id, owner);

alter table cutting_line
  add grade varchar(40) not null default '' after material,
  add formulas longtext;

create table taken_piece (
  delivery_id bigint not null,
  take_no int not null,
  kind varchar(12) character set ascii not null,
  row_id bigint not null,
  primary key (delivery_id, take_no, kind, row_id)
) engine = InnoDB;
