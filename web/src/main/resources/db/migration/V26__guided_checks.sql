-- Guided checks are written step by step; each step is a finding.
alter table finding drop constraint finding_check;
alter table finding
  -- when it happened, where it was written down afterwards
  add column happened_at datetime(6),
  add column area_cm2 double,
  add column gauge_kpa double,
  add column counted double,
  add constraint finding_check check (check_word in ('fill', 'strength', 'safe', 'dye', 'reach', 'drip', 'condition',
    'gas', 'bubbles', 'cylinder', 'fluid', 'hoses', 'hiss', 'gas-check', 'funnel', 'running-look', 'plug', 'cabin-heat',
    'fan-clutch', 'hard-hoses', 'exhaust', 'drip-pressure'));
