-- Where performers have hair of their own that glue and latex would catch.
alter table performer add column fine_hair varchar(200) default '' not null;
