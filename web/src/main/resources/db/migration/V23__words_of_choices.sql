-- A choice is kept as its one word; what is no word of it is kept out, and a description is JSON.
alter table job
  add constraint job_reason check (reason in ('complaint', 'baseline', 'purchase', 'assembly')),
  add constraint job_where_lost check (where_lost in ('unknown', 'puddle', 'after-drive', 'running', 'never-seen')),
  add constraint job_ending check (ending in ('', 'proven', 'provisional', 'diagnosis-only', 'customer-decides',
    'left-leaking', 'waiting-for-parts', 'not-found'));
alter table pressure_test
  add constraint pressure_test_phase check (phase in ('search', 're-test')),
  add constraint pressure_test_reading_mode check (reading_mode in ('needle', 'digital')),
  add constraint pressure_test_loop check (tested_loop in ('', 'drive', 'battery')),
  add constraint pressure_test_hold check (json_valid(hold));
alter table verdict
  add constraint verdict_kind check (kind in ('stopped', 'gross', 'not-counted', 'leak', 'tight', 'not-proven'));
alter table finding
  add constraint finding_check check (check_word in ('fill', 'strength', 'safe', 'dye', 'reach', 'drip'));
alter table job_wait
  add constraint job_wait_kind check (kind in ('cool-down', 'soak', 'dye', 'cure', 'purge', 'next-morning', 'other'));
alter table equipment
  add constraint equipment_kind check (kind in ('tester', 'gauge', 'pump', 'thermometer', 'adapter'));
alter table skipped_step
  add constraint skipped_step_step check (step in ('intake', 'circuit', 'make-safe', 'visual-check', 'fill-up', 'cap',
    'pressure-test', 'find', 'inside', 'decide', 'repair', 'refill', 're-test', 'hand-over'));
