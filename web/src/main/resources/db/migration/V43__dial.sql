-- The dial that a camera looks at during a test, as somebody touched it on a still, and the pictures of first and last.
create table dial (
  pressure_test_id uuid not null primary key,
  -- centre and marks in dots of the still: "x y", then a line "x y kPa" for each mark
  touched text not null,
  still_photo_id uuid not null,
  first_photo_id uuid,
  last_photo_id uuid,
  typed_first_kpa double,
  read_first_kpa double,
  typed_last_kpa double,
  read_last_kpa double,
  set_at datetime(6) not null,
  set_by varchar(60) not null,
  constraint dial_of_test foreign key (pressure_test_id) references pressure_test (id)
);
