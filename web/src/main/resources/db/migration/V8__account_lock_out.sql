-- Wrong passwords in a row, and until when an account is locked because of them.
alter table account
  add column wrong_passwords int not null default 0,
  add column locked_until datetime(6);
