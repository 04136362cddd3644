-- A customer's link to one job's report. The link itself is shown once and kept only as its SHA-256.
create table report_link (
  id uuid not null primary key,
  job_id uuid not null,
  token_sha256 char(64) not null,
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  ends_at datetime(6) not null,
  withdrawn_at datetime(6),
  version int not null,
  constraint report_link_token unique (token_sha256),
  constraint report_link_job foreign key (job_id) references job (id)
);
