-- When a job was closed or put aside, null while it is open: lists of jobs are read in its order and look at no others.
-- Worked out by the database and invisible to "select *", so that the files of jobs know nothing of it.
alter table job add column ended_at datetime(6) as (coalesce(closed_at, discarded_at)) persistent invisible;
drop index job_ended on job;
create index job_ended on job (ended_at);
create index job_started on job (started_at);
