-- A device that was started anew counts from 1 again: how many numbers of the gauge come before those of its clock.
alter table gauge_clock add column earlier bigint not null default 0;
