-- Cues of a delivery as they were delivered: for others to hear, whatever becomes of the project.
create table delivered_cue (
    delivery_id uuid not null references delivery on delete cascade,
    position integer not null,
    cue_id uuid not null references cue on delete cascade,
    take_id uuid references take on delete set null,
    number text not null,
    scene text not null,
    role text not null,
    offset_db float8 not null,
    start_samples bigint not null,
    length_samples bigint not null,
    heard jsonb not null,
    primary key (delivery_id, position)
);
create index delivered_cue_cue on delivered_cue (cue_id);
create index delivered_cue_take on delivered_cue (take_id);

-- Links for others. What stands in an address is kept as a digest only; a pass phrase as bcrypt makes it.
create table share (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    delivery_id uuid references delivery on delete cascade,
    follows boolean not null,
    token_sha256 text not null unique,
    phrase text,
    name text not null,
    until timestamptz,
    download boolean not null,
    created_at timestamptz not null,
    taken_back_at timestamptz,
    wrong integer not null default 0,
    wait_until timestamptz
);
create index share_project on share (project_id);
create index share_delivery on share (delivery_id);

-- Who wrote or approved, where it was somebody with a link.
alter table note add column writer text not null default '', add column share_id uuid references share on delete set null;
create index note_share on note (share_id);
alter table approval add column writer text not null default '', add column share_id uuid references share on delete set null;
create index approval_share on approval (share_id);

do $$
declare
    event text;
begin
    foreach event in array array['insert', 'update', 'delete'] loop
        execute format('create trigger %I after %s on share referencing %s table as changed for each statement execute function rows_changed(%L, %L)',
            'share_' || event || '_told', event, case event when 'delete' then 'old' else 'new' end,
            'delivery', 'select project_id from changed');
    end loop;
end $$;
