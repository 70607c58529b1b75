-- What the shelf shows of a job, written when its plan is made. One that is not there, or was made of something else, is made when it
-- is looked at.
create table shelf_line (
    job_id bigint primary key references job (id) on delete cascade,
    build varchar(60) not null,
    made_of varchar(60) not null,
    stock bigint not null,
    stands_until timestamp,
    start_by timestamp,
    chair_in timestamp,
    ready timestamp,
    figure clob not null,
    ribbon clob not null,
    in_the_way clob not null
);
create index shelf_line_chair_in on shelf_line (chair_in);
create index job_by_call on job (call_at);
