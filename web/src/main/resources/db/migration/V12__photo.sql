-- Photographs of leak sites: always a JPEG that this application wrote itself from what was uploaded.
create table photo (
  id uuid not null primary key,
  job_id uuid not null,
  jpeg mediumblob not null,
  width int not null,
  height int not null,
  sha256 char(64) not null,
  written_at datetime(6) not null,
  written_by varchar(60) not null,
  constraint photo_job foreign key (job_id) references job (id)
);

alter table leak_site
  add column photo_id uuid,
  add constraint leak_site_photo foreign key (photo_id) references photo (id);
