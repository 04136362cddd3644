-- What the lead chose for the whole workshop. One row.
create table workshop_choice (
  id int not null primary key,
  learned_odds boolean not null,
  version int not null
);
create index repair_joint on repair (joint);
