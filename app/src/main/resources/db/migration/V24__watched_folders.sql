-- Folders under the root that the settings name: what is put there becomes clips like a project.
create table watched_folder (
    project_id uuid primary key references project on delete cascade,
    name text not null unique,
    made_at timestamptz not null
);
-- Scripts in them, as they were when they were looked at last, and what became of them.
create table dropped_script (
    like_project_id uuid not null references watched_folder on delete cascade,
    name text not null,
    bytes bigint not null,
    changed_millis bigint not null,
    project_id uuid references project on delete set null,
    state text not null,
    primary key (like_project_id, name)
);
create index dropped_script_project on dropped_script (project_id);
