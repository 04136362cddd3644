-- What is new since a repair belongs to the vehicle as it is now.
alter table repair add column renewed boolean not null default false;
alter table repair_history add column renewed boolean;

-- Time by the clock: begun, stopped, of a step; minutes typed by hand stand above it.
alter table work_entry add column step varchar(20) not null default '';
alter table work_entry add column clock_from datetime(6);
alter table work_entry add column clock_to datetime(6);
create index work_entry_running on work_entry (written_by, clock_to);

-- What was said while hands were full.
create table voice (
  id uuid not null primary key,
  job_id uuid not null,
  sound mediumblob not null,
  media_type varchar(40) not null,
  sha256 varchar(64) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint voice_job foreign key (job_id) references job (id)
);
alter table strip_line add column voice_id uuid;
