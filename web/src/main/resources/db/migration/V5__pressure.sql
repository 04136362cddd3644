-- Pressure tests. Traces are append-only: blocks and events are added, corrections stand beside them,
-- nothing is edited. A finished test is sealed with a hash over all of it.
create table pressure_test (
  id uuid not null primary key,
  job_id uuid not null,
  phase varchar(20) not null,
  number int not null,
  started_at datetime(6) not null,
  started_by varchar(60) not null,
  hold longtext not null,
  reading_mode varchar(20) not null,
  finished_at datetime(6),
  seal char(64),
  version int not null,
  constraint pressure_test_number unique (job_id, phase, number),
  constraint pressure_test_job foreign key (job_id) references job (id)
);

create table trace_block (
  id uuid not null primary key,
  pressure_test_id uuid not null,
  seq int not null,
  readings int not null,
  payload mediumblob not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint trace_block_seq unique (pressure_test_id, seq),
  constraint trace_block_test foreign key (pressure_test_id) references pressure_test (id)
);

create table trace_event (
  id uuid not null primary key,
  pressure_test_id uuid not null,
  seconds double not null,
  kind varchar(20) not null,
  millilitres double,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint trace_event_test foreign key (pressure_test_id) references pressure_test (id)
);

-- A reading taken back: the block stays, this row says it does not count.
create table trace_correction (
  id uuid not null primary key,
  pressure_test_id uuid not null,
  trace_block_id uuid not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint trace_correction_once unique (trace_block_id),
  constraint trace_correction_test foreign key (pressure_test_id) references pressure_test (id),
  constraint trace_correction_block foreign key (trace_block_id) references trace_block (id)
);

-- A verdict as it was given: estimator's version, settings and inputs, and the whole answer.
create table verdict (
  id uuid not null primary key,
  pressure_test_id uuid not null,
  estimator varchar(40) not null,
  kind varchar(20) not null,
  result longtext not null,
  answer longtext not null,
  written_at datetime(6) not null,
  constraint verdict_test unique (pressure_test_id),
  constraint verdict_of_test foreign key (pressure_test_id) references pressure_test (id)
);
