-- What the shop charges: one row of rates, and a row a kind of repair that it has a price or a time for.
create table shop_rate (
  id int not null primary key,
  hour_price double not null,
  retest_hours double not null,
  come_back_price double not null,
  currency varchar(3) not null,
  tax_percent double not null,
  version int not null,
  constraint shop_rate_one check (id = 1)
);
create table repair_price (
  kind varchar(30) not null primary key,
  parts_price double,
  hours double,
  days double,
  version int not null
);

-- The customer's sheet: each line its own decision. A line that was taken back keeps its row.
create table quote_line (
  id uuid not null primary key,
  job_id uuid not null,
  kind varchar(12) not null,
  what varchar(200) not null,
  detail varchar(1000) not null,
  lowest double,
  expected double,
  highest double,
  currency varchar(3) not null,
  decision varchar(10) not null,
  put_off_to date,
  decided_by varchar(120),
  decided_at datetime(6),
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  version int not null,
  constraint quote_line_job foreign key (job_id) references job (id),
  constraint quote_line_kind check (kind in ('way', 'neighbour', 'complaint', 'consent')),
  constraint quote_line_decision check (decision in ('open', 'accepted', 'refused', 'put-off')),
  index quote_line_in_order (job_id, written_at)
);

-- A customer's link opens the report, or the quote.
alter table report_link add column purpose varchar(10) not null default 'report';
alter table report_link_history add column purpose varchar(10);
