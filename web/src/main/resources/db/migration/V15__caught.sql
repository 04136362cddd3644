-- What was caught from an inside place while a test was under pressure. Append-only.
create table caught (
  id uuid not null primary key,
  pressure_test_id uuid not null,
  place varchar(80) not null,
  millilitres double not null,
  minutes double,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint caught_test foreign key (pressure_test_id) references pressure_test (id),
  index caught_in_order (pressure_test_id, written_at)
);
