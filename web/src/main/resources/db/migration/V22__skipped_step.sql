-- A step that somebody skipped on a job; taken up again it keeps its row.
create table skipped_step (
  id uuid not null primary key,
  job_id uuid not null,
  step varchar(20) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  constraint skipped_step_job foreign key (job_id) references job (id),
  index skipped_step_of_job (job_id)
);
create table skipped_step_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint not null,
  job_id uuid,
  step varchar(20),
  written_at datetime(6),
  written_by varchar(60),
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  primary key (id, revision),
  constraint skipped_step_history_revision foreign key (revision) references revision (id),
  index skipped_step_history_job (job_id)
);
