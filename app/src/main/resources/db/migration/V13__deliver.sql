-- What a project's deliveries hold, and how: kept for the next time. Its folder keeps its name when the project gets another.
create table delivery_choice (
    project_id uuid primary key references project on delete cascade,
    choice jsonb not null,
    folder text unique
);

alter table delivery
    add column choice jsonb,
    add column since integer;

-- Content of delivered files, by its SHA-256: what two deliveries have alike is kept once.
create table delivered_content (
    sha256 text not null,
    position integer not null,
    content bytea not null,
    primary key (sha256, position)
);

-- What a delivery holds. Those from before have one package in delivery_part instead.
create table delivery_file (
    delivery_id uuid not null references delivery on delete cascade,
    position integer not null,
    path text not null,
    bytes bigint not null,
    sha256 text not null,
    cue text not null,
    change text not null,
    why text not null,
    said text not null,
    voice text not null,
    content text not null,
    start_samples bigint not null,
    made_of text not null,
    primary key (delivery_id, position)
);
create index delivery_file_by_content on delivery_file (sha256);
