-- How often a job was written to, by anyone and in any process: pages ask whether the number moved.
create table job_change (
  job_id uuid not null primary key,
  seq bigint not null,
  constraint job_change_of_job foreign key (job_id) references job (id)
);
