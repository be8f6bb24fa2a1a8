-- How much of listening to a song is done, 0 to 1.
alter table song add column listened double precision not null default 0;
