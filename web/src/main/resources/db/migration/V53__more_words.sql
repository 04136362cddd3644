-- What sprays or runs is more than wet; coolant can be lost always, only hot, or not while it runs; more signs are told.
alter table leak_site drop constraint leak_site_saw;
alter table leak_site
  add constraint leak_site_saw check (saw in ('dry', 'wet', 'runs', 'stained', 'cleaned', 'hidden'));
alter table job drop constraint job_where_lost;
alter table job
  add constraint job_where_lost check (where_lost in ('unknown', 'puddle', 'after-drive', 'running', 'never-seen', 'always', 'only-hot', 'not-running'));
alter table job modify column signs varchar(800) not null default '';
alter table job_history modify column signs varchar(800);
