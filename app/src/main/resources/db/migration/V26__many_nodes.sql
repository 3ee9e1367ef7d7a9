-- The servers that work on this database. Their times are the database's, which all of them share.
create table node (
    id uuid primary key,
    name text not null,
    pages boolean not null,
    renders integer not null,
    begun_at timestamp with time zone not null default now(),
    seen_at timestamp with time zone not null default now()
);

-- Renders are taken from what waits, the most urgent and the longest unserved first, by as many lanes as a workspace may have.
alter table batch add column paused_at timestamp with time zone, add column gone_on_at timestamp with time zone, add column served_at timestamp with time zone;
alter table batch_cue add column urgent boolean not null default false, add column node_id uuid;
create index batch_cue_waiting on batch_cue (batch_id) where state = 'waiting';
create table render_claim (
    lane text primary key,
    batch_id uuid not null,
    cue_id uuid not null,
    holder uuid not null,
    node_id uuid not null,
    claimed_at timestamp with time zone not null,
    unique (batch_id, cue_id),
    foreign key (batch_id, cue_id) references batch_cue on delete cascade
);
delete from scheduled_tasks where task_name = 'render-cue';
