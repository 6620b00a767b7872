-- How far long work is, from 0 to 1; and libraries are written as background work.

alter table conversion add share decimal(6, 5) not null default 0;

alter table written_file
  add state varchar(10) character set ascii not null default 'DONE',
  add note varchar(500) not null default '',
  add share decimal(6, 5) not null default 1;
