-- The key by which this installation signs what it hands out. One row, made at the first need.
create table installation_key (
  id int not null primary key,
  secret_key varbinary(400) not null,
  open_key varbinary(400) not null,
  made_at datetime(6) not null
);

-- What was done in a job, each entry bound to all before it by its hash. Written once, never changed.
create table chain_link (
  id uuid not null primary key,
  job_id uuid not null,
  number int not null,
  at datetime(6) not null,
  by_account varchar(100) not null,
  what text not null,
  hash varchar(64) not null,
  constraint chain_link_job foreign key (job_id) references job (id),
  constraint chain_link_number unique (job_id, number)
);
