-- Which libraries a line of the trail changed. Lines from before are left out: which libraries
-- tools left was not kept of them, so what stood there could not be told.
create table trail_library (
  library_id bigint not null,
  trail_id bigint not null,
  primary key (library_id, trail_id)
) engine = InnoDB;
