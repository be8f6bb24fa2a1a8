-- What a repair puts right; those until now filled boxes.
alter table repair add column kind varchar(12) not null default 'FILL';
alter table repair alter column kind drop default;
