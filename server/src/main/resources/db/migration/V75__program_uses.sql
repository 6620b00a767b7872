alter table job_tool add column uses varchar(120) not null default '';
