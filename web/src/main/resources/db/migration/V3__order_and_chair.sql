-- what people want of the order, whatever is shortest
create table wish (
    job_id bigint not null references job (id) on delete cascade,
    position int not null,
    kind varchar(12) not null,
    step varchar(200) not null,
    target varchar(200) not null,
    minutes int not null,
    primary key (job_id, position)
);

-- rest for everybody, by rule of the house: longest stretch of work, a break, and every third one, minutes
alter table job add column break_every int default 120 not null;
alter table job add column break_minutes int default 10 not null;
alter table job add column meal_minutes int default 30 not null;
