-- Word of what is done: what there was to tell, for each workspace.
create table tiding (
    id bigint generated always as identity primary key,
    workspace_id uuid not null references workspace on delete cascade,
    project_id uuid not null references project on delete cascade,
    kind text not null,
    sentence text not null,
    address text not null,
    at timestamptz not null
);
create index tiding_workspace on tiding (workspace_id, id);
create index tiding_project on tiding (project_id);
create function tiding_told() returns trigger language plpgsql as $$
begin
    perform pg_notify('logophon', 'tidings ' || new.project_id);
    return null;
end $$;
create trigger tiding_told after insert on tiding for each row execute function tiding_told();

-- Who wants to be told of what, and how; a row without a person is that of who uses the machine while people are switched off.
create table wish (
    id uuid primary key,
    person_id uuid references person on delete cascade,
    renders boolean not null,
    deliveries boolean not null,
    visitors boolean not null,
    mail text not null,
    hook text not null,
    secret text not null
);
create index wish_person on wish (person_id);
create unique index wish_once on wish (coalesce(person_id, '00000000-0000-0000-0000-000000000000'));
