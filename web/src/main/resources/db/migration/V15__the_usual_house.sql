-- What a house usually has: every new job begins with it. One row, or none.
create table usual_house (
    id int primary key,
    call_hour time not null,
    temperature double precision not null,
    humidity double precision not null,
    dryers int not null,
    at_sensor boolean default false not null,
    costume_minutes int not null,
    bench_days int not null,
    break_every int not null,
    break_minutes int not null,
    meal_minutes int not null
);

-- hands that usually work there; without an hour they can always
create table usual_hands (
    house_id int not null references usual_house (id) on delete cascade,
    position int not null,
    name varchar(40) not null,
    skill varchar(20) not null,
    from_hour time,
    until_hour time,
    primary key (house_id, position)
);
