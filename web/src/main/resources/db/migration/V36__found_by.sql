-- Which checks of a closed job showed what was repaired; worked out once for each closing.
create table found_by (
  job_id uuid not null,
  check_word varchar(40) not null,
  closed_at datetime(6) not null,
  found boolean not null,
  primary key (job_id, check_word)
);
