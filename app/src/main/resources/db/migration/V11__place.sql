-- The picture that clips are placed to. Without a rate there is none, and clips stand on exact samples.
alter table project
    add column frame_rate text,
    add column start_frame bigint not null default 0,
    add column least_gap_millis integer not null default 0;

-- Where a cue's clip comes to stand: fixed from the programme's start, or in its slot, or after the cue before it.
alter table cue
    add column placement text check (placement in ('follow', 'fixed', 'slot')),
    add column anchor text not null default 'start' check (anchor in ('start', 'middle', 'end')),
    add column offset_samples bigint not null default 0,
    add column fixed_samples bigint;

-- The gap at the end of a scene, where neither the cue nor its role says another.
create table scene_gap (
    project_id uuid not null references project on delete cascade,
    scene text not null,
    millis integer not null,
    primary key (project_id, scene)
);

-- Times of the picture for which there is no cue.
create table picture_slot (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    in_millis integer not null,
    out_millis integer not null,
    number text not null,
    name text not null
);
create index picture_slot_of_project on picture_slot (project_id, in_millis);

-- Every change of placements, so that it can be undone and done again, also after a reload.
create table place_edit (
    project_id uuid not null references project on delete cascade,
    ordinal integer not null,
    what text not null,
    before jsonb not null,
    after jsonb not null,
    undone boolean not null default false,
    at timestamptz not null,
    primary key (project_id, ordinal)
);

create or replace function cue_rows_changed() returns trigger language plpgsql as $$
declare
    content uuid[];
    status uuid[];
begin
    select array_agg(distinct n.project_id) into content from after n join before o using (id)
    where (n.position, n.number, n.scene, n.role, n.text, n.reference_seconds, n.slot_in_millis, n.slot_out_millis, n.pace_percent, n.pitch_semitones, n.range_percent,
           n.loudness_db, n.pause_after_millis, n.effect, n.effect_percent, n.style, n.style_percent, n.version, n.removed_at, n.taken,
           n.placement, n.anchor, n.offset_samples, n.fixed_samples)
       is distinct from
          (o.position, o.number, o.scene, o.role, o.text, o.reference_seconds, o.slot_in_millis, o.slot_out_millis, o.pace_percent, o.pitch_semitones, o.range_percent,
           o.loudness_db, o.pause_after_millis, o.effect, o.effect_percent, o.style, o.style_percent, o.version, o.removed_at, o.taken,
           o.placement, o.anchor, o.offset_samples, o.fixed_samples);
    select array_agg(distinct n.project_id) into status from after n join before o using (id)
    where (n.kept_take, n.kept_recipe) is distinct from (o.kept_take, o.kept_recipe);
    if content is not null then perform project_changed(content, 'content'); end if;
    if status is not null then perform project_changed(status, 'status'); end if;
    return null;
end $$;

create or replace function project_row_changed() returns trigger language plpgsql as $$
begin
    if (new.name, new.language, new.target_seconds, new.script_version, new.pace_percent, new.pitch_semitones, new.range_percent, new.loudness_db,
        new.pause_after_millis, new.effect, new.effect_percent, new.style, new.style_percent, new.target_lufs, new.name_pattern, new.deleted_at, new.numbers_frozen,
        new.frame_rate, new.start_frame, new.least_gap_millis)
       is distinct from
       (old.name, old.language, old.target_seconds, old.script_version, old.pace_percent, old.pitch_semitones, old.range_percent, old.loudness_db,
        old.pause_after_millis, old.effect, old.effect_percent, old.style, old.style_percent, old.target_lufs, old.name_pattern, old.deleted_at, old.numbers_frozen,
        old.frame_rate, old.start_frame, old.least_gap_millis)
    then
        new.content_version := old.content_version + 1;
        perform pg_notify('logophon', 'content ' || new.id);
    end if;
    return new;
end $$;

do $$
declare
    watched text[];
    event text;
begin
    foreach watched slice 1 in array array[
        ['scene_gap', 'content', 'select project_id from changed'],
        ['picture_slot', 'content', 'select project_id from changed']]
    loop
        foreach event in array array['insert', 'update', 'delete'] loop
            execute format('create trigger %I after %s on %I referencing %s table as changed for each statement execute function rows_changed(%L, %L)',
                watched[1] || '_' || event || '_told', event, watched[1], case event when 'delete' then 'old' else 'new' end, watched[2], watched[3]);
        end loop;
    end loop;
end $$;
