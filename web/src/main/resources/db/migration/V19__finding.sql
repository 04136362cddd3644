-- Everything seen, done or put in that has no table of its own: one row a finding, append-only; one that was
-- taken back keeps its row. What the columns mean is said by the check (FindingService).
create table finding (
  id uuid not null primary key,
  job_id uuid not null,
  check_word varchar(30) not null,
  subject varchar(80) not null,
  saw varchar(30) not null,
  amount double,
  second double,
  note varchar(2000) not null,
  photo_id uuid,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  constraint finding_job foreign key (job_id) references job (id),
  constraint finding_photo foreign key (photo_id) references photo (id),
  index finding_in_order (job_id, written_at)
);

-- A wait: something that is ready at a moment, wherever it is watched from.
create table job_wait (
  id uuid not null primary key,
  job_id uuid not null,
  kind varchar(20) not null,
  note varchar(200) not null,
  begun_at datetime(6) not null,
  due_at datetime(6) not null,
  begun_by varchar(60) not null,
  ended_at datetime(6),
  ended_by varchar(60),
  version int not null,
  constraint job_wait_job foreign key (job_id) references job (id),
  index job_wait_open (ended_at, due_at)
);

-- Signs told at intake, and a part replaced before.
alter table job add column signs varchar(400) not null default '';
alter table job add column replaced_part varchar(80) not null default '';
alter table job add column replaced_days double;
alter table job add column other_complaints varchar(2000) not null default '';
alter table job_history add column signs varchar(400);
alter table job_history add column replaced_part varchar(80);
alter table job_history add column replaced_days double;
alter table job_history add column other_complaints varchar(2000);

-- The cap on its tester, and where it is used.
alter table cap add column opening_kpa double;
alter table cap add column holds_kpa double;
alter table cap add column vacuum_kpa double;
alter table cap add column altitude_m double;
alter table cap_history add column opening_kpa double;
alter table cap_history add column holds_kpa double;
alter table cap_history add column vacuum_kpa double;
alter table cap_history add column altitude_m double;
