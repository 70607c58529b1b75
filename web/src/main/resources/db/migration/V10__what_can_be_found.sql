-- Everything that can be found in a job, in small letters to be looked through and as it is said. What was
-- changed since it was read is read again before the next search.
create table find_text (
    job_id bigint primary key references job (id) on delete cascade,
    build varchar(60) not null,
    unread int not null,
    low varchar(1000000) not null,
    lines clob not null
);
insert into find_text (job_id, build, unread, low, lines) select id, '', 1, '', '[]' from job;
create index find_text_unread on find_text (unread);
