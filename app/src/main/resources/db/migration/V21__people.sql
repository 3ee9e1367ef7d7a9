-- Workspaces: people, their projects and their house lists. One is always there: everything belongs to it while people are
-- switched off, and what was made before belongs to it.
create table workspace (
    id uuid primary key,
    name text not null,
    -- raised by readings, voices and watch words of the house
    version bigint not null default 0,
    made_at timestamptz not null default now()
);
insert into workspace (id, name, version) select '00000000-0000-0000-0000-000000000001', 'The house', version from house;

create table person (
    id uuid primary key,
    name text not null,
    -- without case: nobody can take another's name
    name_key text not null unique,
    phrase text not null,
    made_at timestamptz not null
);
create table member (
    workspace_id uuid not null references workspace on delete cascade,
    person_id uuid not null references person on delete cascade,
    role text not null check (role in ('owner', 'editor', 'listener')),
    primary key (workspace_id, person_id)
);
create index member_person on member (person_id);

-- Links by which somebody comes into a workspace, or chooses a new pass phrase where it names a person. Kept as digests.
create table invitation (
    id uuid primary key,
    token_sha256 text not null unique,
    workspace_id uuid not null references workspace on delete cascade,
    role text not null check (role in ('owner', 'editor', 'listener')),
    person_id uuid references person on delete cascade,
    made_at timestamptz not null,
    until timestamptz not null,
    ended_at timestamptz
);
create index invitation_workspace on invitation (workspace_id);
create index invitation_person on invitation (person_id);

-- Wrong pass phrases in a row, by a digest of the name: also of names that nobody has, so that an answer doesn't tell which.
create table sign_in_try (
    name_sha256 text primary key,
    wrong integer not null,
    wait_until timestamptz,
    at timestamptz not null
);

-- Sessions, as Spring Session keeps them.
create table session (
    primary_id char(36) primary key,
    session_id char(36) not null unique,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);
create index session_expiry on session (expiry_time);
create index session_principal on session (principal_name);
create table session_attributes (
    session_primary_id char(36) not null references session (primary_id) on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);

-- What belongs to a workspace. Nothing gets one by itself from now on.
do $$
declare
    owned text;
begin
    foreach owned in array array['project', 'watch_word', 'voice_note', 'voice_group', 'house_voice', 'delivery_set', 'agreement', 'feed'] loop
        execute format('alter table %I add column workspace_id uuid not null default ''00000000-0000-0000-0000-000000000001'' references workspace', owned);
        execute format('alter table %I alter column workspace_id drop default', owned);
        execute format('create index %I on %I (workspace_id)', owned || '_workspace', owned);
    end loop;
end $$;
alter table watch_word drop constraint watch_word_avoid_key, add unique (workspace_id, avoid);
alter table voice_note drop constraint voice_note_pkey, add primary key (workspace_id, voice_id);
alter table voice_group drop constraint voice_group_pkey, add primary key (workspace_id, name, voice_id);
alter table delivery_set drop constraint delivery_set_pkey, add primary key (workspace_id, name);
create unique index feed_open on feed (workspace_id) where taken_back_at is null;

-- a reading is a project's or a workspace's
alter table reading add column workspace_id uuid references workspace;
update reading set workspace_id = '00000000-0000-0000-0000-000000000001' where project_id is null;
alter table reading add check ((project_id is null) <> (workspace_id is null));
create index reading_workspace on reading (workspace_id);
drop index reading_once;
create unique index reading_once on reading (coalesce(project_id, workspace_id), written, coalesce(language, ''), match_case);

-- The house's lists raise the number of their own workspace.
drop trigger house_voice_changed on house_voice;
drop trigger watch_word_changed on watch_word;
drop function house_changed();
drop trigger house_reading_changed on reading;
drop function house_reading_changed();
create function house_changed() returns trigger language plpgsql as $$
declare
    owner uuid := case when tg_op = 'DELETE' then old.workspace_id else new.workspace_id end;
begin
    if owner is not null then
        update workspace set version = version + 1 where id = owner;
        perform pg_notify('logophon', 'house');
    end if;
    return null;
end $$;
create trigger house_voice_changed after insert or update or delete on house_voice for each row execute function house_changed();
create trigger watch_word_changed after insert or update or delete on watch_word for each row execute function house_changed();
create trigger house_reading_changed after insert or update or delete on reading for each row execute function house_changed();
drop table house;

-- Who may no longer see something, or has left, shall not go on hearing of it.
create function people_changed() returns trigger language plpgsql as $$
begin
    perform pg_notify('logophon', 'people');
    return null;
end $$;
create trigger member_changed after update or delete on member for each statement execute function people_changed();
create trigger session_ended after delete on session for each row execute function people_changed();

-- Who a window belongs to; empty while people are switched off.
alter table here add column person text not null default '';
