-- What came off, in its order; turned round it is the refit list. A line taken back keeps its row.
create table strip_line (
  id uuid not null primary key,
  job_id uuid not null,
  joint varchar(80) not null,
  what varchar(200) not null,
  fasteners int not null,
  back int not null,
  size varchar(60) not null,
  torque varchar(60) not null,
  hidden boolean not null,
  needless boolean not null,
  photo_id uuid,
  refitted_at datetime(6),
  refitted_by varchar(60),
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  version int not null,
  constraint strip_line_job foreign key (job_id) references job (id),
  index strip_line_in_order (job_id, written_at)
);

-- What a shop learned on an engine type, shown before the next one starts; the maker's way to refill it.
create table lesson (
  id uuid not null primary key,
  engine_type_id uuid not null,
  kind varchar(10) not null,
  what varchar(4000) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  version int not null,
  constraint lesson_kind check (kind in ('lesson', 'refill')),
  constraint lesson_engine_type foreign key (engine_type_id) references engine_type (id),
  index lesson_in_order (engine_type_id, written_at)
);

-- Time and cost of a job, tools and needless work apart.
create table work_entry (
  id uuid not null primary key,
  job_id uuid not null,
  kind varchar(12) not null,
  what varchar(200) not null,
  minutes double,
  price double,
  needless boolean not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  withdrawn_at datetime(6),
  withdrawn_by varchar(60),
  version int not null,
  constraint work_entry_job foreign key (job_id) references job (id),
  constraint work_entry_kind check (kind in ('labour', 'parts', 'fluid', 'tool')),
  index work_entry_in_order (job_id, written_at)
);
