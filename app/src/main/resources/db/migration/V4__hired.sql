-- A style at every level.
alter table project add column style text, add column style_percent integer;
alter table role add column style text, add column style_percent integer;
alter table cue add column style text, add column style_percent integer;

-- What was done to a take beside its pace and pitch, in words.
alter table take add column treatment text not null default '';

-- What the service of hired voices offered when it was last asked, so that casts hold while it doesn't answer.
create table hired_list (
    only_one boolean primary key default true check (only_one),
    body text not null,
    read_at timestamptz not null
);

-- Somebody has agreed to a price: at most so many characters. What is asked for under it is counted before it is asked.
create table agreement (
    id uuid primary key,
    project_id uuid references project on delete set null,
    agreed_characters integer not null,
    asked_characters integer not null default 0,
    at timestamptz not null,
    check (asked_characters <= agreed_characters)
);
alter table batch add column agreement_id uuid references agreement;

-- The ledger: each request once, however often it was sent. "asked" until its answer has come.
create table charge (
    key text primary key,
    agreement_id uuid not null references agreement,
    project_name text not null,
    voice_id text not null,
    voice_name text not null,
    characters integer not null,
    price numeric(16, 6) not null,
    currency text not null,
    state text not null,
    asked_at timestamptz not null,
    charged_at timestamptz
);
create index charge_in_order on charge (asked_at);

-- What was paid for, as it came: another pace, pitch or effect of it costs nothing.
create table paid_speech (
    key text primary key,
    voice_id text not null,
    sample_rate integer not null,
    pcm bytea not null,
    words integer[] not null,
    phonemes integer[] not null,
    at timestamptz not null
);
alter table paid_speech alter column pcm set storage external;
