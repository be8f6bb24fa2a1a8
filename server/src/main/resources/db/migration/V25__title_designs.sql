-- Titles that a person kept to begin others with.
create table title_design (
    name text primary key,
    design text not null
);
