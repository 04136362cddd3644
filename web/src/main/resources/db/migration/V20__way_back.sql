-- Every mistake has a way back: what was written can be withdrawn and keeps its row, a verdict can be taken back
-- with its reopened test, jobs and tests can be put aside; and what is sent twice is stored once.

create table entry (
  id uuid not null primary key,
  path varchar(300) not null,
  led_to varchar(400),
  written_at datetime(6) not null,
  index entry_age (written_at)
);

alter table account add column units varchar(60) not null default 'kpa-litre-celsius';

alter table pressure_test
  add column tested_loop varchar(20) not null default '',
  add column written_later boolean not null default false,
  add column discarded_at datetime(6),
  add column discarded_by varchar(60);
alter table pressure_test_history
  add column tested_loop varchar(20),
  add column written_later boolean,
  add column discarded_at datetime(6),
  add column discarded_by varchar(60);

-- blocks and events of one file belong together
alter table trace_block add column source_file uuid;
alter table trace_event
  add column source_file uuid,
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);

alter table verdict add index verdict_by_test (pressure_test_id, written_at);
alter table verdict drop foreign key verdict_of_test;
alter table verdict drop index verdict_test;
alter table verdict
  add constraint verdict_of_test foreign key (pressure_test_id) references pressure_test (id),
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);

alter table caught
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);

alter table leak_site
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);
alter table leak_site_history
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);

alter table repair
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);
alter table repair_history
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);

-- a mark may be written down later than it was read
alter table level_mark
  add column read_at datetime(6),
  add column withdrawn_at datetime(6),
  add column withdrawn_by varchar(60);
update level_mark set read_at = written_at;
alter table level_mark modify column read_at datetime(6) not null;

alter table job
  add column ending varchar(30) not null default '',
  add column ending_note varchar(2000) not null default '',
  add column discarded_at datetime(6),
  add column discarded_by varchar(60);
alter table job_history
  add column ending varchar(30),
  add column ending_note varchar(2000),
  add column discarded_at datetime(6),
  add column discarded_by varchar(60);
