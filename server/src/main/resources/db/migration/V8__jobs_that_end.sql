-- Whether the stand-in gives a request up half-way; settled when work on it begins.
alter table request add column will_fail boolean not null default false;
