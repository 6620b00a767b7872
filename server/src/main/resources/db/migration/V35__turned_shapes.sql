-- Whether the ends of a shape stand the other way round than they are guessed.
alter table named_shape add column turned boolean not null default false;
