-- Wrong tries count for a name from an address, so that nobody locks a colleague out.
create table sign_in_try (
  login varchar(60) not null,
  address varchar(64) not null,
  wrong int not null,
  wrong_at datetime(6) not null,
  locked_until datetime(6) null,
  primary key (login, address)
);
alter table account
  drop column wrong_passwords,
  drop column locked_until,
  -- the secret that codes are made from (base 32), and the last step a code was taken of
  add column second_factor varchar(64) null,
  add column second_factor_at datetime(6) null,
  add column second_factor_step bigint not null default 0;
-- Each opens once, where the telephone is lost.
create table recovery_code (
  account_id uuid not null,
  code_sha256 varchar(64) not null,
  used_at datetime(6) null,
  primary key (account_id, code_sha256),
  constraint recovery_code_account foreign key (account_id) references account (id)
);
alter table SPRING_SESSION_ATTRIBUTES modify column ATTRIBUTE_BYTES mediumblob not null;
