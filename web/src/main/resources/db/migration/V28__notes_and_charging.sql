-- What is said of a part beside its price: freight, or a used one with the test it passed.
alter table repair_price add column note varchar(200) not null default '';

-- A battery is charged before anything runs for long.
alter table job_wait drop constraint job_wait_kind;
alter table job_wait
  add constraint job_wait_kind check (kind in ('cool-down', 'soak', 'dye', 'cure', 'purge', 'next-morning', 'charge', 'other'));

-- The code names its checks; a list of them here would have to follow every new one.
alter table finding drop constraint finding_check;
alter table finding add constraint finding_check check (check_word regexp '^[a-z]+(-[a-z]+)*$');
