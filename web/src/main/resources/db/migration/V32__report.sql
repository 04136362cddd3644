-- What stands above a report: the workshop's name and address, and the paper it prints on. One row.
create table letterhead (
  id int not null primary key,
  name varchar(120) not null,
  address varchar(600) not null,
  paper varchar(10) not null,
  version int not null
);

-- Who took the vehicle back with its report: a name, and a stroke drawn on the screen.
create table report_signature (
  id uuid not null primary key,
  job_id uuid not null,
  name varchar(100) not null,
  drawing mediumtext not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint report_signature_job foreign key (job_id) references job (id)
);
