-- The demo's productions, by name; one that is not filled whole is taken back at the next start.
alter table production add column demo varchar(40) not null default '';
alter table production add column filled boolean not null default true;
