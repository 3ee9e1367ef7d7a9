-- What people record has more than 16 bits; what engines say hasn't.
alter table sound add column bits smallint not null default 16 check (bits in (16, 24));

-- What holding a recording against its words told. A cleaned one remembers what it was made from, and how.
create table recording (
    speech_id uuid primary key references speech on delete cascade,
    doubts real[] not null,
    findings jsonb not null,
    figures jsonb not null,
    cleaned_from_id uuid references speech on delete set null,
    cleaning jsonb
);
create index recording_cleaned_from on recording (cleaned_from_id);

-- A file that was brought in, on its way to be takes: its sound, and where in it which cue is said.
create table recording_upload (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    name text not null,
    role text not null,
    sound_id uuid references sound,
    state text not null check (state in ('hearing', 'cutting', 'cut', 'taking', 'taken', 'failed')),
    problem text,
    rows jsonb not null default '[]',
    created_at timestamptz not null
);
create index recording_upload_project on recording_upload (project_id);
create index recording_upload_sound on recording_upload (sound_id);

-- Cues whose words a recogniser wrote down: which of them it was not sure of, as pairs of places in the text as it was then.
create table heard_draft (
    cue_id uuid primary key references cue on delete cascade,
    text text not null,
    doubtful integer[] not null
);
