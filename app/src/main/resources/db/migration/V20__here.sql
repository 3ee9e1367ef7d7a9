-- Which windows have a project open, and where they are in it. Nothing of it is worth keeping.
create unlogged table here (
    page_id uuid primary key,
    project_id uuid not null references project on delete cascade,
    step text not null,
    cue_id uuid references cue on delete set null,
    seen_at timestamptz not null
);
create index here_project on here (project_id);
create index here_cue on here (cue_id);
create function here_told() returns trigger language plpgsql as $$
begin
    perform pg_notify('logophon', 'here ' || coalesce(new.project_id, old.project_id));
    return null;
end $$;
-- that a window is still there is no news
create trigger here_came after insert or delete on here for each row execute function here_told();
create trigger here_moved after update on here for each row
    when (old.cue_id is distinct from new.cue_id or old.step <> new.step) execute function here_told();
