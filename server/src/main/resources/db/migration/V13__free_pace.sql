-- How quickly equally long parts of a film without music are to move.
alter table production add column pace text not null default '[]';
