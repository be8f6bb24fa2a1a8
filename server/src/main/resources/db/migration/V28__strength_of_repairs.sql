-- By how much noise and blocks are taken out, in percent of what is measured.
alter table repair add column strength integer not null default 100;
alter table repair alter column strength drop default;
