-- Who did what when: the tables of Hibernate Envers. A revision is one transaction of one account; beside each
-- audited table stands one with what a row said from that revision on. Traces are not here: their rows are
-- written once and carry their writer themselves.
create table revision (
  id bigint not null auto_increment primary key,
  made_at datetime(6) not null,
  made_by varchar(60) not null
);

create table account_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  login varchar(60),
  name varchar(120),
  role varchar(20),
  enabled boolean,
  password_changed_at datetime(6),
  primary key (id, revision),
  constraint account_history_revision foreign key (revision) references revision (id)
);

create table vehicle_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  name varchar(120),
  description varchar(200),
  circuit varchar(80),
  liquid_ml double,
  strength double,
  primary key (id, revision),
  constraint vehicle_history_revision foreign key (revision) references revision (id)
);

create table job_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  vehicle_id uuid,
  reason varchar(20),
  complaint varchar(2000),
  where_lost varchar(20),
  loss_ml_per_week double,
  top_up_ml double,
  started_at datetime(6),
  started_by varchar(60),
  intake_at datetime(6),
  closed_at datetime(6),
  primary key (id, revision),
  constraint job_history_revision foreign key (revision) references revision (id)
);

create table cap_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  job_id uuid,
  stamp varchar(40),
  rated_kpa double,
  maker_figure_kpa double,
  test_pressure_kpa double,
  seals varchar(20),
  note varchar(2000),
  written_at datetime(6),
  written_by varchar(60),
  primary key (id, revision),
  constraint cap_history_revision foreign key (revision) references revision (id),
  index cap_history_job (job_id)
);

create table pressure_test_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  job_id uuid,
  phase varchar(20),
  number int,
  started_at datetime(6),
  started_by varchar(60),
  hold longtext,
  reading_mode varchar(20),
  finished_at datetime(6),
  seal char(64),
  primary key (id, revision),
  constraint pressure_test_history_revision foreign key (revision) references revision (id),
  index pressure_test_history_job (job_id)
);

create table leak_site_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  job_id uuid,
  joint varchar(80),
  saw varchar(20),
  drops_per_minute double,
  pressure_kpa double,
  note varchar(2000),
  photo_id uuid,
  written_at datetime(6),
  written_by varchar(60),
  primary key (id, revision),
  constraint leak_site_history_revision foreign key (revision) references revision (id),
  index leak_site_history_job (job_id)
);

create table repair_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  job_id uuid,
  joint varchar(80),
  note varchar(4000),
  written_at datetime(6),
  written_by varchar(60),
  primary key (id, revision),
  constraint repair_history_revision foreign key (revision) references revision (id),
  index repair_history_job (job_id)
);

create table report_link_history (
  id uuid not null,
  revision bigint not null,
  revision_type tinyint,
  job_id uuid,
  made_at datetime(6),
  made_by varchar(60),
  ends_at datetime(6),
  withdrawn_at datetime(6),
  primary key (id, revision),
  constraint report_link_history_revision foreign key (revision) references revision (id),
  index report_link_history_job (job_id)
);
