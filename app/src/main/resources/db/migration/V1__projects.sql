-- Projects, their roles and cues. Direction columns are null where a level says nothing.
create table project (
    id uuid primary key,
    name text not null,
    language text not null,
    target_seconds integer,
    script text not null default '',
    script_version integer not null default 0,
    pace_percent integer,
    pitch_semitones double precision,
    loudness_db double precision,
    pause_after_millis integer,
    direction_version integer not null default 0,
    target_lufs double precision,
    name_pattern text not null,
    created_at timestamptz not null,
    changed_at timestamptz not null,
    deleted_at timestamptz
);

create table role (
    project_id uuid not null references project on delete cascade,
    name text not null,
    position integer not null,
    voice_id text,
    pace_percent integer,
    pitch_semitones double precision,
    loudness_db double precision,
    pause_after_millis integer,
    version integer not null default 0,
    primary key (project_id, name)
);

create table cue (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    position integer not null,
    number text not null,
    scene text not null,
    role text not null,
    text text not null,
    words integer not null,
    syllables integer not null,
    pace_percent integer,
    pitch_semitones double precision,
    loudness_db double precision,
    pause_after_millis integer,
    kept_take uuid,
    kept_recipe text,
    version integer not null default 0,
    removed_at timestamptz
);
create index cue_in_order on cue (project_id, position);

-- What was rendered, once for each recipe: samples are 16-bit little-endian PCM, as the engine gave them.
create table speech (
    recipe text primary key,
    voice_id text not null,
    sample_rate integer not null,
    pcm bytea not null,
    words integer[] not null,
    peaks bytea not null,
    pitch real[] not null,
    seconds double precision not null,
    syllables integer not null,
    lufs double precision not null,
    pace_reached double precision not null,
    semitones_reached double precision,
    created_at timestamptz not null
);

-- A take is a cue's use of a rendered recipe, with everything that made it.
create table take (
    id uuid primary key,
    cue_id uuid not null references cue on delete cascade,
    ordinal integer not null,
    recipe text not null references speech,
    text text not null,
    voice_id text not null,
    engine_version text not null,
    pace_factor double precision not null,
    semitones double precision not null,
    created_at timestamptz not null,
    deleted_at timestamptz,
    unique (cue_id, recipe),
    unique (cue_id, ordinal)
);

create table batch (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    created_at timestamptz not null,
    cancelled_at timestamptz
);

create table batch_cue (
    batch_id uuid not null references batch on delete cascade,
    cue_id uuid not null references cue on delete cascade,
    state text not null,
    problem text,
    finished_at timestamptz,
    primary key (batch_id, cue_id)
);
create index batch_cue_of_cue on batch_cue (cue_id);

create table delivery (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    ordinal integer not null,
    file_name text not null,
    name_pattern text not null,
    target_lufs double precision,
    state text not null,
    done integer not null default 0,
    total integer not null,
    problem text,
    bytes bigint not null default 0,
    created_at timestamptz not null,
    finished_at timestamptz,
    unique (project_id, ordinal)
);

create table delivery_part (
    delivery_id uuid not null references delivery on delete cascade,
    position integer not null,
    content bytea not null,
    primary key (delivery_id, position)
);

-- db-scheduler's own table (its documented PostgreSQL layout).
create table scheduled_tasks (
    task_name text not null,
    task_instance text not null,
    task_data bytea,
    execution_time timestamp with time zone not null,
    picked boolean not null,
    picked_by text,
    last_success timestamp with time zone,
    last_failure timestamp with time zone,
    consecutive_failures int,
    last_heartbeat timestamp with time zone,
    version bigint not null,
    priority smallint,
    primary key (task_name, task_instance)
);
create index execution_time_idx on scheduled_tasks (execution_time);
create index last_heartbeat_idx on scheduled_tasks (last_heartbeat);
create index priority_execution_time_idx on scheduled_tasks (priority desc, execution_time asc);
