-- Changes that somebody proposes, and what became of them.
create sequence proposal_seq start with 1 increment by 1000 nocache;
create table proposal (
  id bigint not null primary key,
  library_id bigint not null,
  reason varchar(2000) not null,
  state varchar(10) character set ascii not null,
  made_by varchar(60) not null,
  made_at datetime(6) not null,
  answered_by varchar(60),
  answered_at datetime(6),
  words varchar(2000) not null default '',
  answer_seen boolean not null default false,
  index proposal_of_library (library_id, state, id),
  index proposal_of_maker (made_by, state, id)
) engine = InnoDB;

create table proposal_change (
  proposal_id bigint not null,
  place int not null,
  kind varchar(8) character set ascii not null,
  tool_id bigint,
  base_version int not null default 0,
  draft longtext,
  answer varchar(10) character set ascii,
  primary key (proposal_id, place),
  index proposal_of_tool (tool_id)
) engine = InnoDB;
