-- Where somebody sings in a song, as the one who made it tells: start and end in samples at 48 kHz.
alter table song add column sung text not null default '[]';
