-- Sound files of people's own: of a project, of a workspace, or, of neither, those that come with Logophon.
create table sound_file (
    id uuid primary key,
    workspace_id uuid references workspace on delete cascade,
    project_id uuid references project on delete cascade,
    name text not null,
    licence text not null,
    sound_id uuid not null references sound,
    from_sample bigint not null,
    to_sample bigint not null,
    own_db double precision not null default 0,
    made_at timestamptz not null,
    removed_at timestamptz,
    check (to_sample > from_sample and from_sample >= 0)
);
create index sound_file_workspace on sound_file (workspace_id);
create index sound_file_project on sound_file (project_id);
create index sound_file_sound on sound_file (sound_id);
-- Under a stretch of a programme: from the start of one cue to the end of another; null for the programme's own start and end.
create table bed (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    sound_file_id uuid not null references sound_file on delete cascade,
    from_cue uuid references cue on delete cascade,
    to_cue uuid references cue on delete cascade,
    looped boolean not null,
    fade_in_millis integer not null,
    fade_out_millis integer not null,
    level_db double precision not null,
    rise_db double precision not null,
    made_at timestamptz not null,
    removed_at timestamptz
);
create index bed_project on bed (project_id);
create index bed_sound_file on bed (sound_file_id);
create index bed_from_cue on bed (from_cue);
create index bed_to_cue on bed (to_cue);
-- What lay under a delivery's programme, for whoever hears it later.
create table delivery_layer (
    delivery_id uuid primary key references delivery on delete cascade,
    laid_out jsonb not null
);
do $$
declare
    watched text[];
    event text;
begin
    foreach watched slice 1 in array array[
        ['bed', 'select project_id from changed'],
        ['sound_file', 'select s.project_id from changed s union select b.project_id from changed s join bed b on b.sound_file_id = s.id'
            ' union select c.project_id from changed s join mark m on m.kind = ''sound'' and lower(substring(m.value from ''^\S+ \S+ (.*)$'')) = lower(s.name) join cue c on c.id = m.cue_id']]
    loop
        foreach event in array array['insert', 'update', 'delete'] loop
            execute format('create trigger %I after %s on %I referencing %s table as changed for each statement execute function rows_changed(%L, %L)',
                watched[1] || '_' || event || '_told', event, watched[1], case event when 'delete' then 'old' else 'new' end, 'content', watched[2]);
        end loop;
    end loop;
end $$;
