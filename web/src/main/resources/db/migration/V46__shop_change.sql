-- How often anything was written that jobs share (vehicles, engine types, waits, choices of the workshop), in any process.
create table shop_change (
  id tinyint not null primary key,
  seq bigint not null,
  changed_at datetime(6) not null
);
insert into shop_change values (1, 0, now(6));
