-- Marks on the words of cues: places are indexes in the cue's text.
create table mark (
    cue_id uuid not null references cue on delete cascade,
    start_index integer not null,
    end_index integer not null,
    kind text not null,
    value text not null,
    origin text not null,
    reason text not null
);
create index mark_of_cue on mark (cue_id);

-- How a role rests of itself, and how much its takes differ by chance.
alter table role add column comma_millis integer, add column stop_millis integer, add column least_gap_millis integer,
    add column lively_percent integer not null default 0;

-- The chance that a cue's next render takes; 0 until somebody asks for another one.
create table cue_chance (
    cue_id uuid primary key references cue on delete cascade,
    seed bigint not null
);

-- Every change of scores, so that it can be undone and done again, also after a reload.
create table score_edit (
    project_id uuid not null references project on delete cascade,
    ordinal integer not null,
    what text not null,
    before text not null,
    after text not null,
    undone boolean not null default false,
    at timestamptz not null,
    primary key (project_id, ordinal)
);

-- For each mark of a recipe what its speech reached.
alter table speech add column marks_reached double precision[] not null default '{}';
