-- A gauge that writes by itself: paired once, known by its token from then on.
create table gauge (
  id uuid not null primary key,
  name varchar(60) not null,
  step_kpa double not null,
  step_k double,
  simulated boolean not null,
  token_sha256 varchar(64) not null unique,
  paired_at datetime(6) not null,
  paired_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  -- numbers of its readings that have come, and that it says are lost: ranges as text
  received mediumtext not null,
  lost mediumtext not null,
  -- readings that came while it stood at no test
  not_kept bigint not null default 0,
  heard_at datetime(6),
  -- when the pages of its test were told last that more has come
  told_at datetime(6),
  last_kpa double,
  last_celsius double
);
-- Where it stood from when to when; a reading belongs to the test it was made at, whenever it comes.
create table gauge_at_test (
  id uuid not null primary key,
  gauge_id uuid not null,
  pressure_test_id uuid not null,
  begun_at datetime(6) not null,
  begun_by varchar(60) not null,
  ended_at datetime(6),
  ended_by varchar(60),
  index gauge_at_test_gauge (gauge_id, begun_at),
  index gauge_at_test_test (pressure_test_id, ended_at),
  constraint gauge_at_test_of_gauge foreign key (gauge_id) references gauge (id)
);
-- A clock of a gauge: how its times are placed among ours. A gauge whose clock begins anew has another.
create table gauge_clock (
  gauge_id uuid not null,
  name varchar(40) not null,
  reached double not null,
  state mediumtext not null,
  used_at datetime(6) not null,
  primary key (gauge_id, name),
  constraint gauge_clock_of_gauge foreign key (gauge_id) references gauge (id)
);
-- A code that pairs one gauge, once.
create table gauge_code (
  code_sha256 varchar(64) not null primary key,
  pressure_test_id uuid not null,
  made_at datetime(6) not null,
  made_by varchar(60) not null,
  used_at datetime(6)
);
