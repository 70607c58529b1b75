-- whether an account of the floor reads on the shelf who sits
alter table account add column names boolean default false not null;
