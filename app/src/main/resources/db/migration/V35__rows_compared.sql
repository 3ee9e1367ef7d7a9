-- What changed is found by comparing rows, not by lists of columns that each new column had to be added to.

-- a cue: what became of it is status, all else is content
create or replace function cue_rows_changed() returns trigger language plpgsql set enable_nestloop = off as $$
declare
    of_status constant text[] := array['kept_take', 'kept_recipe'];
    content uuid[];
    status uuid[];
begin
    select array_agg(distinct n.project_id) filter (where (to_jsonb(n) - of_status) <> (to_jsonb(o) - of_status)),
           array_agg(distinct n.project_id) filter (where (n.kept_take, n.kept_recipe) is distinct from (o.kept_take, o.kept_recipe))
    into content, status
    from after n join before o using (id) where n is distinct from o;
    if content is not null then perform project_changed(content, 'content'); end if;
    if status is not null then perform project_changed(status, 'status'); end if;
    return null;
end $$;

-- a project: not what counts its changes, and not the script itself, which is long and has a version
create or replace function project_row_changed() returns trigger language plpgsql as $$
declare
    beside constant text[] := array['changed_at', 'content_version', 'status_version', 'direction_version'];
    was project := old;
    now_is project := new;
begin
    was.script := '';
    now_is.script := '';
    if (to_jsonb(now_is) - beside) <> (to_jsonb(was) - beside) then
        new.content_version := old.content_version + 1;
        perform pg_notify('logophon', 'content ' || new.id);
    end if;
    return new;
end $$;
drop trigger project_row_changed on project;
create trigger project_row_changed before update on project for each row
    -- what raises a version says so by itself
    when (old.content_version = new.content_version and old.status_version = new.status_version)
    execute function project_row_changed();

-- Each row has a key of its own.
alter table mark add column id bigint generated always as identity primary key;
alter table dismissed add column id bigint generated always as identity primary key;

-- Sounds that lie under a delivery stay as long as it does.
create table delivered_sound (
    delivery_id uuid not null references delivery_layer on delete cascade,
    sound_id uuid not null references sound,
    primary key (delivery_id, sound_id)
);
create index delivered_sound_sound on delivered_sound (sound_id);
insert into delivered_sound (delivery_id, sound_id)
select distinct d.delivery_id, f.sound_id from delivery_layer d
join sound_file f on cast(d.laid_out as text) like '%' || f.sound_id || '%';

-- Words that the application knows; what earlier versions may have written is left as it is.
alter table batch_cue add constraint batch_cue_state check (state in ('waiting', 'done', 'failed', 'cancelled')) not valid;
alter table delivery add constraint delivery_state check (state in ('building', 'ready', 'moved', 'failed', 'cancelled')) not valid;
alter table charge add constraint charge_state check (state in ('asked', 'charged')) not valid;
alter table dropped_script add constraint dropped_script_state check (state in ('seen', 'rendering', 'delivering', 'ended')) not valid;
alter table mark add constraint mark_origin check (origin in ('OWN', 'SUGGESTED', 'TAKEN')) not valid;
alter table tiding add constraint tiding_kind check (kind in ('renders', 'deliveries', 'visitors')) not valid;
