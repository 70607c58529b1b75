-- Everything that can be found in a job, in small letters to be looked through and as it is said. What is not there is written before
-- the next search.
create table find_text (
    job_id bigint primary key references job (id) on delete cascade,
    made_of varchar(120) not null,
    stale boolean not null,
    low varchar(1000000) not null,
    lines clob not null
);
