-- A vehicle, and a job: one vehicle at one visit. Volumes in mL.
create table vehicle (
  id uuid not null primary key,
  name varchar(120) not null,
  description varchar(200) not null,
  circuit varchar(80) not null,
  liquid_ml double,
  strength double,
  version int not null,
  constraint vehicle_name unique (name)
);

create table job (
  id uuid not null primary key,
  vehicle_id uuid,
  reason varchar(20) not null,
  complaint varchar(2000) not null,
  where_lost varchar(20) not null,
  loss_ml_per_week double,
  top_up_ml double,
  started_at datetime(6) not null,
  started_by varchar(60) not null,
  intake_at datetime(6),
  closed_at datetime(6),
  version int not null,
  constraint job_vehicle foreign key (vehicle_id) references vehicle (id),
  index job_open (closed_at, started_at)
);
