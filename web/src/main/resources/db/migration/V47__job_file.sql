-- A job's file of another workshop between being sent and being taken in, and the workshops whose key is known.
create table job_file (
  id uuid not null primary key,
  content longblob not null,
  sent_at datetime(6) not null,
  sent_by varchar(60) not null
);
create table known_workshop (
  fingerprint varchar(100) not null primary key,
  name varchar(120) not null,
  known_at datetime(6) not null,
  known_by varchar(60) not null
);
