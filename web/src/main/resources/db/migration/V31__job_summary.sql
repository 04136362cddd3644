-- What the list of jobs says of one, kept until its count of changes moves or its time has come.
create table job_summary (
  job_id uuid not null primary key,
  seq bigint not null,
  due_at datetime(6) not null,
  waits_for varchar(20) not null,
  shape text,
  headline varchar(400),
  tight boolean not null,
  waits_until datetime(6),
  constraint job_summary_of_job foreign key (job_id) references job (id)
);
create index job_ended on job (closed_at, discarded_at);
