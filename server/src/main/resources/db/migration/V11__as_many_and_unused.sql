-- How many pictures a request asks for; 0 for a clip. Earlier requests for stills asked for four.
alter table request add column pictures int not null default 0;
update request r set pictures = 4 where r.kind = 'MAKE' and exists (
  select 1 from service s
  where s.profile::jsonb ->> 'name' = r.service and s.profile::jsonb ->> 'kind' = 'STILL');

-- Since when no production uses a file.
alter table medium add column unused_since timestamptz;
