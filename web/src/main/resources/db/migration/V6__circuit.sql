-- What was seen at a joint. Append-only: the latest row of a joint counts.
create table leak_site (
  id uuid not null primary key,
  job_id uuid not null,
  joint varchar(80) not null,
  saw varchar(20) not null,
  drops_per_minute double,
  pressure_kpa double,
  note varchar(2000) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint leak_site_job foreign key (job_id) references job (id),
  index leak_site_joint (job_id, joint, written_at)
);
