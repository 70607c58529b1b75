-- How often a better order was found for a job and taken over. A page that was made before still says what was meant.
alter table job add column orders_found bigint default 0 not null;
