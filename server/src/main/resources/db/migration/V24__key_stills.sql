-- Stills that films' shots are to look like, small, as PNG.
create table key_still (
    hash text primary key,
    name text not null,
    picture bytea not null
);
