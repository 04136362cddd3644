-- Two names that only look alike are two vehicles, and whoever types one is asked.
alter table vehicle modify column name varchar(120) character set utf8mb4 collate utf8mb4_bin not null;
