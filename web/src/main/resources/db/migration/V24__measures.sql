-- What was measured with a finding stands in a column of its own, in its unit.
alter table finding
  add column volume_ml double,
  add column strength double,
  add column celsius double,
  add column ambient_celsius double,
  add column minutes double,
  add column size_mm double,
  add column thermostat_open boolean,
  add column heater_on boolean;
update finding set volume_ml = amount, strength = second where check_word = 'fill';
update finding set celsius = amount, strength = second where check_word = 'strength';
update finding set celsius = amount, ambient_celsius = second where check_word = 'safe';
update finding set volume_ml = amount, subject = substring(saw, 7), saw = 'dosed'
  where check_word = 'dye' and saw like 'dosed-%';
update finding set minutes = amount, thermostat_open = (cast(second as unsigned) & 1) <> 0,
  heater_on = (cast(second as unsigned) & 2) <> 0
  where check_word = 'dye' and saw = 'ran';
update finding set size_mm = amount where check_word = 'dye' and saw in ('glow', 'dark');
alter table finding drop column amount, drop column second;
