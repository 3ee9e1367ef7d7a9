-- How a script is split and numbered, and what hands have cut: pairs of a place in the text and 0 for a split, 1 for a join.
alter table project add column splitting text not null default 'blank-line';
alter table project add column cuts integer[] not null default '{}';
alter table project add column number_start integer not null default 10;
alter table project add column number_step integer not null default 10;
alter table project add column number_width integer not null default 3;
alter table project add column number_prefix text not null default '';
alter table project add column numbers_frozen boolean not null default false;
update project set numbers_frozen = true where exists (select 1 from delivery d where d.project_id = project.id and d.state = 'ready');

-- The time an average voice takes, and the time that the picture leaves.
alter table cue add column reference_seconds double precision not null default 0;
alter table cue add column slot_in_millis integer;
alter table cue add column slot_out_millis integer;
alter table speech add column reference_seconds double precision;

-- Every saved state of a script. Undo and redo are states too: back and forward are the versions they lead to.
create table script_version (
    project_id uuid not null references project on delete cascade,
    version integer not null,
    packed bytea not null,
    cuts integer[] not null,
    splitting text not null,
    words integer not null,
    cues integer not null,
    what text not null,
    back integer,
    forward integer,
    at timestamptz not null,
    primary key (project_id, version)
);

-- Texts that could not be saved over a newer one: kept, so that nobody's words vanish.
create table script_draft (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    packed bytea not null,
    words integer not null,
    at timestamptz not null
);

-- Readings of a project, or of the house where project_id is null.
create table reading (
    id uuid primary key,
    project_id uuid references project on delete cascade,
    written text not null,
    said text not null,
    said_as text not null,
    language text,
    match_case boolean not null,
    at timestamptz not null
);
create unique index reading_once on reading (coalesce(project_id, '00000000-0000-0000-0000-000000000000'), written, coalesce(language, ''), match_case);

-- A reading of one place: the words from one index of a cue's text to another.
create table place_reading (
    cue_id uuid not null references cue on delete cascade,
    start_index integer not null,
    written text not null,
    said text not null,
    said_as text not null,
    primary key (cue_id, start_index)
);

-- Findings that somebody has looked at and left: at one cue, or everywhere where cue_id is null.
create table dismissed (
    project_id uuid not null references project on delete cascade,
    cue_id uuid references cue on delete cascade,
    kind text not null,
    written text not null
);
create unique index dismissed_once on dismissed (project_id, coalesce(cue_id, '00000000-0000-0000-0000-000000000000'), kind, written);

create table watch_word (
    id uuid primary key,
    avoid text not null unique,
    instead text[] not null,
    note text not null,
    at timestamptz not null
);
-- a short made-up list to begin with
insert into watch_word (id, avoid, instead, note, at) values
    (gen_random_uuid(), 'utilise', '{use}', 'plain words are easier to hear', now()),
    (gen_random_uuid(), 'in order to', '{to}', 'three words for one', now()),
    (gen_random_uuid(), 'very unique', '{unique}', 'there are no degrees of it', now());

-- every save writes the whole text: the default compression would take most of its time
alter table project alter column script set compression lz4;
alter table script_version alter column packed set storage external;
alter table script_draft alter column packed set storage external;
