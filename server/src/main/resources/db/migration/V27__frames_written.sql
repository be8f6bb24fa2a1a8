-- How many frames of a master are in its file, where that is encoded after they are drawn.
alter table master add column frames_written bigint not null default 0;
