-- The pressure cap of a job: what is stamped on it and the limit that follows. Pressures in kPa.
create table cap (
  id uuid not null primary key,
  job_id uuid not null,
  stamp varchar(40) not null,
  rated_kpa double not null,
  maker_figure_kpa double,
  test_pressure_kpa double,
  seals varchar(20) not null,
  note varchar(2000) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  version int not null,
  constraint cap_job unique (job_id),
  constraint cap_of_job foreign key (job_id) references job (id)
);
