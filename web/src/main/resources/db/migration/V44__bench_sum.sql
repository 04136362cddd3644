-- What sums of the bench gave, as a job kept it.
create table bench_sum (
  id uuid not null primary key,
  job_id uuid not null,
  kept_at datetime(6) not null,
  kept_by varchar(60) not null,
  said text not null,
  index bench_sum_job (job_id, kept_at),
  constraint bench_sum_of_job foreign key (job_id) references job (id)
);
