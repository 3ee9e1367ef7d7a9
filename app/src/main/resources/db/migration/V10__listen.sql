-- What people say of a take.
alter table take
    add column name text not null default '',
    add column starred boolean not null default false,
    add column remark text not null default '',
    add column labels text[] not null default '{}';

-- The state in which a cue was heard and found good, one text for each thing that its sound follows from.
create table approval (
    cue_id uuid primary key references cue on delete cascade,
    words text not null,
    voice text not null,
    direction text not null,
    readings text not null,
    take text not null,
    loudness text not null,
    at timestamptz not null
);

-- A remark on a word: the place is in the text that it was written on, and is found again in any later one.
create table note (
    id uuid primary key,
    cue_id uuid not null references cue on delete cascade,
    take_id uuid references take on delete set null,
    on_text text not null,
    start_index integer not null,
    end_index integer not null,
    remark text not null,
    version integer not null default 0,
    done_at timestamptz,
    done_take uuid references take on delete set null,
    at timestamptz not null,
    deleted_at timestamptz
);
create index note_of_cue on note (cue_id);
create index note_take on note (take_id);
create index note_done_take on note (done_take);

-- What happened to cues beside what happened to takes. Rows are added and never changed; they go with their project only.
create table happening (
    id bigint generated always as identity primary key,
    project_id uuid not null references project on delete cascade,
    cue_id uuid references cue on delete cascade,
    what text not null,
    before text,
    after text,
    at timestamptz not null
);
create index happening_of_project on happening (project_id, id);
create index happening_of_cue on happening (cue_id, id);
create function happening_stays() returns trigger language plpgsql as $$
begin
    if tg_op = 'DELETE' and pg_trigger_depth() > 1 then
        return old;
    end if;
    raise exception 'What happened is only added to.';
end $$;
create trigger happening_stays before update or delete on happening for each row execute function happening_stays();

-- Takes beside the kept one: a batch with a chance of its own makes them without keeping them.
alter table batch add column seed bigint, add column lively_percent integer;

-- Levels that a cue follows instead of its project's and its role's, since it was made like one of its takes.
alter table cue add column taken jsonb;

-- What was found in a take by measuring it. The version says by which rules.
create table speech_check (
    speech_id uuid primary key references speech on delete cascade,
    version integer not null,
    findings jsonb not null
);
-- Findings that somebody has listened to and left.
create table check_dismissed (
    speech_id uuid not null references speech on delete cascade,
    kind text not null,
    start_index integer not null,
    primary key (speech_id, kind, start_index)
);

create or replace function cue_rows_changed() returns trigger language plpgsql as $$
declare
    content uuid[];
    status uuid[];
begin
    select array_agg(distinct n.project_id) into content from after n join before o using (id)
    where (n.position, n.number, n.scene, n.role, n.text, n.reference_seconds, n.slot_in_millis, n.slot_out_millis, n.pace_percent, n.pitch_semitones, n.range_percent,
           n.loudness_db, n.pause_after_millis, n.effect, n.effect_percent, n.style, n.style_percent, n.version, n.removed_at, n.taken)
       is distinct from
          (o.position, o.number, o.scene, o.role, o.text, o.reference_seconds, o.slot_in_millis, o.slot_out_millis, o.pace_percent, o.pitch_semitones, o.range_percent,
           o.loudness_db, o.pause_after_millis, o.effect, o.effect_percent, o.style, o.style_percent, o.version, o.removed_at, o.taken);
    select array_agg(distinct n.project_id) into status from after n join before o using (id)
    where (n.kept_take, n.kept_recipe) is distinct from (o.kept_take, o.kept_recipe);
    if content is not null then perform project_changed(content, 'content'); end if;
    if status is not null then perform project_changed(status, 'status'); end if;
    return null;
end $$;

do $$
declare
    watched text[];
    event text;
begin
    foreach watched slice 1 in array array[
        ['approval', 'status', 'select c.project_id from changed a join cue c on c.id = a.cue_id'],
        ['note', 'status', 'select c.project_id from changed n join cue c on c.id = n.cue_id'],
        ['check_dismissed', 'findings', 'select c.project_id from changed d join take t on t.speech_id = d.speech_id join cue c on c.id = t.cue_id']]
    loop
        foreach event in array array['insert', 'update', 'delete'] loop
            execute format('create trigger %I after %s on %I referencing %s table as changed for each statement execute function rows_changed(%L, %L)',
                watched[1] || '_' || event || '_told', event, watched[1], case event when 'delete' then 'old' else 'new' end, watched[2], watched[3]);
        end loop;
    end loop;
end $$;
