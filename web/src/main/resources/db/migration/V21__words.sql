-- One word for a thing, the same on screen, in files and here; other words are kept out.
update leak_site set state = 'cold-pressure' where state = 'pressure';
update leak_site_history set state = 'cold-pressure' where state = 'pressure';
alter table leak_site
  add constraint leak_site_saw check (saw in ('dry', 'wet', 'stained', 'cleaned', 'hidden')),
  add constraint leak_site_state check (state in ('parked', 'cold', 'cold-pressure', 'warm', 'running'));
