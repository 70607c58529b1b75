-- a job taken off the shelf is set aside for a while before it is gone
alter table job add column set_aside timestamp;
-- the order that belonged to the look before its last change, so that taking the change back brings both back
alter table job add column look_before_order character large object default '' not null;
-- whether it is done in the room whose air the house measures; asked in the brief, never assumed
alter table job add column at_sensor boolean default false not null;
-- who sat, whatever they are called since; older runs and strikes know it by name until somebody is renamed
alter table run add column performer_id bigint;
alter table strike_run add column performer_id bigint;
