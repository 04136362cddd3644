-- Who wrote to a job last, and when: the floor shows who is at it.
alter table job_change add column changed_at datetime(6), add column changed_by varchar(60);
-- Where a job's vehicle stands in the workshop.
create table job_bay (
  job_id uuid not null primary key,
  bay varchar(20) not null,
  set_at datetime(6) not null,
  set_by varchar(60) not null,
  constraint job_bay_of_job foreign key (job_id) references job (id)
);
