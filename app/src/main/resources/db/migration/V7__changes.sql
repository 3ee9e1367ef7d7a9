-- Every change of a project raises a number and tells whoever listens, in the transaction that makes it. "content" is what
-- recipes follow from: words, direction, marks, readings, cast. "status" is what became of it: takes, renders.
alter table project
    add column content_version bigint not null default 0,
    add column status_version bigint not null default 0;

-- What holds for every project: the house's readings and voices.
create table house (
    only_one boolean primary key default true check (only_one),
    version bigint not null default 0
);
insert into house default values;

-- What the shelf shows of a project, as of the versions that it was counted at.
create table project_summary (
    project_id uuid primary key references project on delete cascade,
    stamp text not null,
    samples bigint not null,
    cues integer not null,
    to_render integer not null,
    rendering integer not null,
    unfit integer not null,
    takes integer not null
);

create function project_changed(ids uuid[], kind text) returns void language plpgsql as $$
begin
    if kind = 'content' then
        update project set content_version = content_version + 1 where id = any (ids);
    elsif kind = 'status' then
        update project set status_version = status_version + 1 where id = any (ids);
    end if;
    perform pg_notify('logophon', kind || ' ' || id) from unnest(ids) as id;
end $$;

create function house_changed() returns trigger language plpgsql as $$
begin
    update house set version = version + 1;
    perform pg_notify('logophon', 'house');
    return null;
end $$;

-- a project's own row: what its recipes, its page and its line on the shelf follow from
create function project_row_changed() returns trigger language plpgsql as $$
begin
    if (new.name, new.language, new.target_seconds, new.script_version, new.pace_percent, new.pitch_semitones, new.range_percent, new.loudness_db,
        new.pause_after_millis, new.effect, new.effect_percent, new.style, new.style_percent, new.target_lufs, new.name_pattern, new.deleted_at, new.numbers_frozen)
       is distinct from
       (old.name, old.language, old.target_seconds, old.script_version, old.pace_percent, old.pitch_semitones, old.range_percent, old.loudness_db,
        old.pause_after_millis, old.effect, old.effect_percent, old.style, old.style_percent, old.target_lufs, old.name_pattern, old.deleted_at, old.numbers_frozen)
    then
        new.content_version := old.content_version + 1;
        perform pg_notify('logophon', 'content ' || new.id);
    end if;
    return new;
end $$;
create trigger project_row_changed before update on project for each row execute function project_row_changed();
create function project_row_made() returns trigger language plpgsql as $$
begin
    perform pg_notify('logophon', 'content ' || coalesce(new.id, old.id));
    return null;
end $$;
create trigger project_row_made after insert or delete on project for each row execute function project_row_made();

create function cue_rows_changed() returns trigger language plpgsql as $$
declare
    content uuid[];
    status uuid[];
begin
    select array_agg(distinct n.project_id) into content from after n join before o using (id)
    where (n.position, n.number, n.scene, n.role, n.text, n.reference_seconds, n.slot_in_millis, n.slot_out_millis, n.pace_percent, n.pitch_semitones, n.range_percent,
           n.loudness_db, n.pause_after_millis, n.effect, n.effect_percent, n.style, n.style_percent, n.version, n.removed_at)
       is distinct from
          (o.position, o.number, o.scene, o.role, o.text, o.reference_seconds, o.slot_in_millis, o.slot_out_millis, o.pace_percent, o.pitch_semitones, o.range_percent,
           o.loudness_db, o.pause_after_millis, o.effect, o.effect_percent, o.style, o.style_percent, o.version, o.removed_at);
    select array_agg(distinct n.project_id) into status from after n join before o using (id)
    where (n.kept_take, n.kept_recipe) is distinct from (o.kept_take, o.kept_recipe);
    if content is not null then perform project_changed(content, 'content'); end if;
    if status is not null then perform project_changed(status, 'status'); end if;
    return null;
end $$;
create trigger cue_rows_changed after update on cue referencing old table as before new table as after for each statement execute function cue_rows_changed();

-- For the other tables: which kind of change they are, and how their rows lead to a project. %s is the table of changed rows.
create function rows_changed() returns trigger language plpgsql as $$
declare
    ids uuid[];
begin
    execute format('select array_agg(distinct found.project_id) from (%s) as found where found.project_id is not null', tg_argv[1]) into ids;
    if ids is not null then perform project_changed(ids, tg_argv[0]); end if;
    return null;
end $$;
do $$
declare
    watched text[];
    event text;
begin
    foreach watched slice 1 in array array[
        ['cue', 'content', 'select project_id from changed'],
        ['role', 'content', 'select project_id from changed'],
        ['reading', 'content', 'select project_id from changed'],
        ['mark', 'content', 'select c.project_id from changed m join cue c on c.id = m.cue_id'],
        ['place_reading', 'content', 'select c.project_id from changed m join cue c on c.id = m.cue_id'],
        ['cue_chance', 'content', 'select c.project_id from changed m join cue c on c.id = m.cue_id'],
        ['take', 'status', 'select c.project_id from changed t join cue c on c.id = t.cue_id'],
        ['batch_cue', 'status', 'select b.project_id from changed w join batch b on b.id = w.batch_id'],
        ['delivery', 'delivery', 'select project_id from changed'],
        ['dismissed', 'findings', 'select project_id from changed']]
    loop
        foreach event in array array['insert', 'update', 'delete'] loop
            if watched[1] = 'cue' and event = 'update' then continue; end if;
            execute format('create trigger %I after %s on %I referencing %s table as changed for each statement execute function rows_changed(%L, %L)',
                watched[1] || '_' || event || '_told', event, watched[1], case event when 'delete' then 'old' else 'new' end, watched[2], watched[3]);
        end loop;
    end loop;
end $$;
create function house_reading_changed() returns trigger language plpgsql as $$
begin
    if coalesce(new.project_id, old.project_id) is null then
        update house set version = version + 1;
        perform pg_notify('logophon', 'house');
    end if;
    return null;
end $$;
create trigger house_reading_changed after insert or update or delete on reading for each row execute function house_reading_changed();
create trigger house_voice_changed after insert or update or delete on house_voice for each statement execute function house_changed();
create trigger watch_word_changed after insert or update or delete on watch_word for each statement execute function house_changed();
