-- How lively, and through what a voice comes: at every level.
alter table project add column range_percent integer, add column effect text, add column effect_percent integer;
alter table role add column range_percent integer, add column effect text, add column effect_percent integer;
alter table cue add column range_percent integer, add column effect text, add column effect_percent integer;

-- What was measured on a voice, once for each version of it.
create table voice_figures (
    voice_id text not null,
    version text not null,
    median_pitch_hz double precision,
    pitch_range_semitones double precision,
    words_per_minute double precision,
    syllables_per_minute double precision,
    brightness_hz double precision not null,
    measured_at timestamptz not null,
    primary key (voice_id, version)
);

-- What the house thinks of a voice.
create table voice_note (
    voice_id text primary key,
    shortlisted boolean not null default false,
    stars integer not null default 0,
    note text not null default ''
);
create table voice_group (
    name text not null,
    voice_id text not null,
    primary key (name, voice_id)
);

-- Voices of the house's own: a base voice and what makes it theirs.
create table house_voice (
    id text primary key,
    name text not null,
    description text not null default '',
    base_voice text not null,
    pace_percent integer not null,
    pitch_semitones double precision not null,
    range_percent integer not null,
    timbre_semitones double precision not null,
    effect text,
    effect_percent integer not null,
    changed_at timestamptz not null
);
