-- Marks of the level in the tank, days apart. Append-only.
create table level_mark (
  id uuid not null primary key,
  job_id uuid not null,
  area_cm2 double not null,
  level_mm double not null,
  topped_up_ml double not null,
  celsius double,
  hot_hours double not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint level_mark_job foreign key (job_id) references job (id),
  index level_mark_in_order (job_id, written_at)
);
