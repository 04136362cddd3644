-- Checks of the inside, of fluids and of conditions are findings too; what they lacked stands in rows of its own.
alter table finding drop constraint finding_check;
alter table finding
  add column lower_celsius double,
  add constraint finding_check check (check_word in ('fill', 'strength', 'safe', 'dye', 'reach', 'drip', 'condition',
    'gas', 'bubbles', 'cylinder', 'fluid', 'hoses', 'hiss'));
create table finding_unmet (
  finding_id uuid not null,
  unmet varchar(40) not null,
  primary key (finding_id, unmet),
  constraint finding_unmet_finding foreign key (finding_id) references finding (id)
);
-- A drip was noted with the engine running or standing; now it is in one of the states of a look.
update finding set saw = 'cold' where check_word = 'drip' and saw = 'standing';
-- Dried before: what is seen is fresh.
alter table leak_site add column dried_before boolean not null default false;
alter table leak_site_history add column dried_before boolean;
-- Where the puddle lay, on what ground it stands, how it is driven; nothing where nobody said.
alter table job
  add column ground varchar(10),
  add column puddle_at varchar(30),
  add column trips varchar(10),
  add constraint job_ground check (ground in ('hard', 'soft')),
  add constraint job_puddle_at check (puddle_at in ('radiator-base', 'radiator-drain-tube', 'under-pump', 'block-side',
    'oil-pan', 'engine-mount', 'gearbox', 'firewall', 'cabin-floor', 'heater-drain', 'behind-fan', 'belt-side',
    'block-front', 'block-back', 'mid-floor', 'ground-front', 'ground-engine', 'ground-gearbox')),
  add constraint job_trips check (trips in ('short', 'long'));
alter table job_history
  add column ground varchar(10),
  add column puddle_at varchar(30),
  add column trips varchar(10);
