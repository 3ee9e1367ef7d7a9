-- What the upkeep of the store did, each time it ran.
create table upkeep_report (
    id bigint generated always as identity primary key,
    at timestamptz not null,
    took_millis bigint not null
);
create table upkeep_removed (
    report_id bigint not null references upkeep_report on delete cascade,
    what text not null,
    things bigint not null,
    bytes bigint not null,
    primary key (report_id, what)
);
create function upkeep_told() returns trigger language plpgsql as $$
begin
    perform pg_notify('logophon', 'space');
    return null;
end $$;
create trigger upkeep_told after insert on upkeep_report for each statement execute function upkeep_told();

-- A version that somebody named, and those that were delivered, are kept for good.
alter table script_version add column name text;
alter table delivery add column script_version integer;
update delivery d set script_version = (select max(v.version) from script_version v where v.project_id = d.project_id and v.at <= d.created_at);

create index sound_unused on sound (unused_since) where unused_since is not null;
create index script_version_in_time on script_version (project_id, at);
create index project_deleted on project (deleted_at) where deleted_at is not null;
