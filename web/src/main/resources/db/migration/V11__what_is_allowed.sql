-- Skin that is meant to stay bare, and minutes that a calmer order may cost.
alter table job add column bare varchar(2000) default '' not null;
alter table job add column calm_minutes int default 0 not null;
-- Ways that were chosen where practitioners differ about the order.
alter table job add column schools varchar(400) default '' not null;
