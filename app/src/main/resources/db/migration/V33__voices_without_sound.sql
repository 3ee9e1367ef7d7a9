-- Voices that made no sound of the passage that is measured: found once, by one server, and tried again after a day.
create table soundless_voice (
    voice_id text not null,
    version text not null,
    found_at timestamptz not null,
    primary key (voice_id, version)
);
