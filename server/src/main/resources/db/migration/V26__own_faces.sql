-- Faces that a person brought; their fonts are in the store. One that is taken off the list stays,
-- because films and stored pictures are drawn with it.
create table own_face (
    hash text primary key,
    family text not null,
    bold boolean not null,
    italic boolean not null,
    licence text not null,
    offered boolean not null,
    unique (family, bold, italic)
);
