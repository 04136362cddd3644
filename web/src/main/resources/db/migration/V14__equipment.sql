-- What the workshop measures with. A tester's plug checks are append-only: the latest of a day counts.
create table equipment (
  id uuid not null primary key,
  kind varchar(20) not null,
  name varchar(80) not null,
  reading_mode varchar(20) not null,
  resolution double,
  repeatability double,
  zero_drift double,
  range_kpa double,
  calibration_due date,
  stroke_ml double,
  air_ml double,
  fits varchar(400) not null,
  retired boolean not null,
  version int not null,
  constraint equipment_name unique (name)
);

create table plug_check (
  id uuid not null primary key,
  equipment_id uuid not null,
  before_kpa double not null,
  after_kpa double not null,
  minutes double not null,
  own_leak double not null,
  own_leak_uncertainty double not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint plug_check_equipment foreign key (equipment_id) references equipment (id),
  index plug_check_latest (equipment_id, written_at)
);
