-- The demo projects are placed once, under identifiers that nobody can know beforehand.
create table demo_placed (
    script text primary key
);

insert into demo_placed (script)
select placed.script
from (values ('3f0c1f5e-0b1d-4f0a-9a51-6c1d6c5f0001'::uuid, 'the-lantern-room'),
             ('3f0c1f5e-0b1d-4f0a-9a51-6c1d6c5f0002'::uuid, 'first-firing'),
             ('3f0c1f5e-0b1d-4f0a-9a51-6c1d6c5f0003'::uuid, 'wheel-true')) as placed (id, script)
join project on project.id = placed.id;
