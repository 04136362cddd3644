-- How long the engine is hot in a week: what turns a loss per week into a rate.
alter table job add column hot_hours_per_week double;
alter table job_history add column hot_hours_per_week double;
