-- Words of jobs are found by their beginnings, whichever table they stand in, without reading every job.
-- A vehicle's name tells A from a; whoever looks for one need not. Worked out by the database, invisible to "select *".
alter table vehicle add column name_words varchar(120) character set utf8mb4 collate utf8mb4_unicode_ci
  as (name) persistent invisible;
create fulltext index vehicle_name_words on vehicle (name_words);
create fulltext index vehicle_description_words on vehicle (description);
create fulltext index job_words on job (complaint, ending, ending_note);
create fulltext index leak_site_words on leak_site (joint);
create fulltext index repair_words on repair (joint);
create index job_closed on job (closed_at);
