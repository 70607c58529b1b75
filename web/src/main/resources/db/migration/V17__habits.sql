-- How each account is used to read and write; what is null is as the house has it. The house's own row has no name.
create table habit (
    account varchar(40) primary key,
    length varchar(20),
    weight varchar(20),
    warmth varchar(20),
    hours varchar(20),
    dates varchar(20),
    week varchar(20),
    paper varchar(20)
);

-- the money of the house; one row, or none: euros
create table house_money (
    id int primary key,
    sign varchar(4) not null,
    per_euro double precision not null
);
