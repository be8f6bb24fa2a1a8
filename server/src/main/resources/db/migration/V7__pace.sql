-- How quickly each section of a song is to move in the film, as drawn: a JSON list, empty to follow its energy.
alter table song add column pace text not null default '[]';
