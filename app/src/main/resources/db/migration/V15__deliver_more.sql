-- Sets of parts that somebody named, for every project of the house.
create table delivery_set (
    name text primary key,
    choice jsonb not null
);

-- What readers see of a cue where it isn't what is spoken: it holds for the words that it was made for.
create table caption_correction (
    cue_id uuid primary key references cue on delete cascade,
    spoken text not null,
    shown text not null
);
do $$
declare
    event text;
begin
    foreach event in array array['insert', 'update', 'delete'] loop
        execute format('create trigger %I after %s on caption_correction referencing %s table as changed for each statement execute function rows_changed(%L, %L)',
            'caption_correction_' || event || '_told', event, case event when 'delete' then 'old' else 'new' end,
            'delivery', 'select c.project_id from changed m join cue c on c.id = m.cue_id');
    end loop;
end $$;

-- What a delivered clip measures; null for other files, and in deliveries from before.
alter table delivery_file
    add column lufs float8,
    add column true_peak float8;

-- Sound doesn't get smaller by being packed: trying to costs time.
alter table delivered_content alter column content set storage external;
