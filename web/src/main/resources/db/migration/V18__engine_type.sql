-- Engine types: what a circuit is built from, with what the shop changed. A vehicle has one; what differs on
-- this vehicle only (a branch looped off) hangs on the vehicle. Edits are applied in the order they were made;
-- one that was taken back keeps its row.
create table engine_type (
  id uuid not null primary key,
  name varchar(120) not null,
  features varchar(600) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  version int not null,
  constraint engine_type_name unique (name)
);

create table engine_type_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  name varchar(120),
  features varchar(600),
  written_at datetime(6),
  written_by varchar(60),
  primary key (id, revision),
  constraint engine_type_history_revision foreign key (revision) references revision (id)
);

create table vehicle_circuit (
  vehicle_id uuid not null primary key,
  engine_type_id uuid not null,
  version int not null,
  constraint vehicle_circuit_vehicle foreign key (vehicle_id) references vehicle (id),
  constraint vehicle_circuit_type foreign key (engine_type_id) references engine_type (id)
);

create table circuit_edit (
  id uuid not null primary key,
  engine_type_id uuid,
  vehicle_id uuid,
  kind varchar(20) not null,
  subject varchar(80) not null,
  name varchar(120) not null,
  part varchar(80) not null,
  spot varchar(20) not null,
  fastening varchar(20) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  constraint circuit_edit_type foreign key (engine_type_id) references engine_type (id),
  constraint circuit_edit_vehicle foreign key (vehicle_id) references vehicle (id),
  index circuit_edit_order (engine_type_id, vehicle_id, written_at)
);

alter table vehicle drop column circuit;
alter table vehicle_history drop column circuit;

-- In which state a joint was looked at: cold, pressure, warm, running, parked.
alter table leak_site add column state varchar(20) not null default 'cold';
alter table leak_site_history add column state varchar(20);
