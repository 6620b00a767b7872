-- Tools that may be one: what the last search found, what is kept apart, what was merged.
alter table tool
  add merged_into bigint,
  add index tool_merged (merged_into);

create table duplicate_search (
  id int not null primary key,
  state varchar(10) character set ascii not null,
  work varchar(40) character set ascii not null,
  tolerance decimal(6, 3) not null,
  asked_at datetime(6) not null,
  asked_by varchar(60) not null,
  ended_at datetime(6),
  tools int not null,
  pairs bigint not null,
  note varchar(300) not null
) engine = InnoDB;

create table duplicate_group (
  id bigint not null auto_increment primary key,
  percent int not null,
  tools int not null,
  index duplicate_group_order (percent, id)
) engine = InnoDB;

create table duplicate_member (
  group_id bigint not null,
  tool_id bigint not null,
  percent int not null,
  place int not null,
  primary key (group_id, tool_id),
  index duplicate_member_tool (tool_id),
  foreign key (group_id) references duplicate_group (id) on delete cascade
) engine = InnoDB;

-- The smaller id first, so that a pair is kept once.
create table kept_apart (
  tool_id bigint not null,
  other_id bigint not null,
  said_at datetime(6) not null,
  said_by varchar(60) not null,
  primary key (tool_id, other_id),
  index kept_apart_other (other_id)
) engine = InnoDB;
