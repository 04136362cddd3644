-- From when to when the readings of a block are, so that adding one reads no others. Blocks of before have none.
alter table trace_block add column first_seconds double null, add column last_seconds double null;
create index trace_block_last on trace_block (pressure_test_id, last_seconds);
create index trace_block_first on trace_block (pressure_test_id, first_seconds);
