-- What was repaired, as notes.
create table repair (
  id uuid not null primary key,
  job_id uuid not null,
  joint varchar(80) not null,
  note varchar(4000) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint repair_job foreign key (job_id) references job (id)
);
