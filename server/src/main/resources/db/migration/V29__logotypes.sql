-- A face of one's own may be a picture that stands in place of words.
alter table own_face add column logotype boolean not null default false;
alter table own_face alter column logotype drop default;
