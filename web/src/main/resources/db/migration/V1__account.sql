-- Who may do what.
create table account (
  id uuid not null primary key,
  login varchar(60) not null,
  name varchar(120) not null,
  password_hash varchar(200) not null,
  role varchar(20) not null,
  enabled boolean not null,
  version int not null,
  constraint account_login unique (login)
);
