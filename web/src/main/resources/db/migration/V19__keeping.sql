-- how the house keeps itself: how many backups
create table keeping (
    id int primary key,
    backups int not null
);
