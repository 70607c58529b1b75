-- where the house is; without a row, where the machine is
create table house_zone (
    id int primary key,
    zone varchar(60) not null
);
