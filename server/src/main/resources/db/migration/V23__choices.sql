-- What somebody chose where a line and the shop disagree, and what was allowed with a reason.

alter table delivery_line
  add choice longtext,
  add allowed varchar(300);

alter table delivery_line_before
  add choice longtext,
  add allowed varchar(300);
