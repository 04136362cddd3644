-- What a gauge sent lately, by number: a number that comes again with another pressure is noticed, and what was read
-- before it stood at a test can be taken into the test later.
create table gauge_sent (
  gauge_id uuid not null,
  last_number bigint not null,
  first_number bigint not null,
  made_from double not null,
  made_to double not null,
  payload mediumblob not null,
  primary key (gauge_id, last_number, first_number),
  constraint fk_gauge_sent_gauge foreign key (gauge_id) references gauge (id) on delete cascade
);

-- Readings beyond what any gauge shows: told apart from those that were made at no test.
alter table gauge add column not_shown bigint not null default 0;
