-- What the owner writes down by link: how far it was driven, and a photograph of the mark.
alter table level_mark add column distance_km double;
alter table level_mark add column photo_id uuid;
alter table level_mark add constraint level_mark_photo foreign key (photo_id) references photo (id);
