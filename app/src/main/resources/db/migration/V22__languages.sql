-- A project in another language: a project of its own, whose cues stand for those of the first.
alter table project add column version_of_id uuid references project on delete set null;
create index project_version_of on project (version_of_id);
create unique index project_version_once on project (version_of_id, language) where deleted_at is null;
-- Which cue one stands for, and the words that it was made from; null while nobody has translated it.
alter table cue add column first_cue_id uuid references cue on delete set null, add column first_text text;
create index cue_first on cue (first_cue_id);

-- Terms that stay, or are always said so, in the versions of a project.
create table glossary_term (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    written text not null,
    said text not null,
    -- of the other language; empty for all
    language text not null,
    unique (project_id, written, language)
);

-- What an outside service of translation was paid for: the same words are not paid for twice.
create table paid_translation (
    key text primary key,
    said text not null,
    at timestamptz not null
);
