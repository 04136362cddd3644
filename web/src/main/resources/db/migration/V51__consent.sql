-- What a line of consent consents to, as a word: until now only its sentence was kept.
alter table quote_line add column consent varchar(20) null;
update quote_line set consent = 'sealer' where kind = 'consent' and what = 'Sealer as a last resort';
update quote_line set consent = 'driving-on' where kind = 'consent' and what = 'Driving on as it is';
update quote_line set consent = 'left-leaking' where kind = 'consent' and what = 'Left leaking';
