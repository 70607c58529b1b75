-- when the bench is worked at for a job: hours of a day, pairs of hands, days of the week on which nobody works
alter table job add column bench_from time default '09:00:00' not null;
alter table job add column bench_until time default '17:00:00' not null;
alter table job add column bench_hands int default 1 not null;
alter table job add column bench_off varchar(80) default '' not null;

-- entries of the look for which nothing has to be made any more
create table made_already (
    job_id bigint not null references job (id) on delete cascade,
    entry varchar(200) not null,
    primary key (job_id, entry)
);
