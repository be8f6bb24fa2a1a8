-- What a person put right in a song's grid, oldest first, and how many of them are in force.
alter table song add column corrections text not null default '[]';
alter table song add column corrected int not null default 0;

-- Its sections and key moments, as heard.
alter table song add column parts text not null default '{"sections":[],"moments":[]}';
