-- When a backup was finished: how old the last one is, is watched.
create table backup_kept (
  kept_at datetime(6) not null primary key
);
