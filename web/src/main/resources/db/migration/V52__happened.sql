-- When a look and a repair happened, where that was written down later.
alter table leak_site add column happened_at datetime(6);
alter table leak_site_history add column happened_at datetime(6);
alter table repair add column happened_at datetime(6);
alter table repair_history add column happened_at datetime(6);
-- A job may end without a leak.
alter table job drop constraint job_ending;
alter table job
  add constraint job_ending check (ending in ('', 'proven', 'no-leak', 'provisional', 'diagnosis-only', 'customer-decides',
    'left-leaking', 'waiting-for-parts', 'not-found'));
