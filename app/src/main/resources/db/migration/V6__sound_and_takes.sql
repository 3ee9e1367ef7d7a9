-- Sound as sound: 16-bit little-endian PCM in pieces of a fixed size, each sound once. A hash is null while a sound is being written.
create table sound (
    id uuid primary key default gen_random_uuid(),
    hash text unique,
    sample_rate integer not null,
    samples bigint not null default 0,
    stored_at timestamptz not null,
    unused_since timestamptz
);
create table sound_piece (
    sound_id uuid not null references sound on delete cascade,
    position integer not null,
    content bytea not null,
    primary key (sound_id, position)
);
alter table sound_piece alter column content set storage external;
alter table delivery_part alter column content set storage external;

-- everything that was rendered or paid for so far; the hash is over the rate in decimal, a line feed and the samples
insert into sound (hash, sample_rate, samples, stored_at)
select hash, min(sample_rate), min(samples), min(at) from (
    select encode(sha256(convert_to(sample_rate || E'\n', 'UTF8') || pcm), 'hex') as hash, sample_rate, length(pcm) / 2 as samples, created_at as at from speech
    union all
    select encode(sha256(convert_to(sample_rate || E'\n', 'UTF8') || pcm), 'hex'), sample_rate, length(pcm) / 2, at from paid_speech
) as known group by hash;
insert into sound_piece (sound_id, position, content)
select s.id, n, substring(known.pcm from n * 262144 + 1 for 262144)
from (
    select distinct on (hash) hash, pcm from (
        select encode(sha256(convert_to(sample_rate || E'\n', 'UTF8') || pcm), 'hex') as hash, pcm from speech
        union all
        select encode(sha256(convert_to(sample_rate || E'\n', 'UTF8') || pcm), 'hex'), pcm from paid_speech
    ) as doubled
) as known
join sound s on s.hash = known.hash
cross join lateral generate_series(0, (length(known.pcm) - 1) / 262144) as n;

alter table paid_speech add column sound_id uuid references sound;
update paid_speech p set sound_id = s.id from sound s where s.hash = encode(sha256(convert_to(p.sample_rate || E'\n', 'UTF8') || p.pcm), 'hex');
alter table paid_speech alter column sound_id set not null, drop column pcm, drop column sample_rate;
create index paid_speech_sound on paid_speech (sound_id);

-- What was measured on a spoken sound. Without a recipe it was recorded; without words, nothing has timed them yet.
alter table speech add column sound_id uuid references sound, add column id uuid not null default gen_random_uuid(), add column heard_at timestamptz;
update speech p set sound_id = s.id from sound s where s.hash = encode(sha256(convert_to(p.sample_rate || E'\n', 'UTF8') || p.pcm), 'hex');
alter table take drop constraint take_recipe_fkey;
alter table speech
    alter column sound_id set not null, drop column pcm, drop column sample_rate, drop column seconds,
    drop constraint speech_pkey, add primary key (id), alter column recipe drop not null, add constraint speech_recipe_once unique (recipe),
    alter column voice_id drop not null, alter column words drop not null, alter column pace_reached drop not null;
create index speech_sound on speech (sound_id);
-- one of these two says why a speech is here that no take uses: somebody heard it, and when
update speech set heard_at = created_at where not exists (select 1 from take t where t.recipe = speech.recipe);

-- A take has a source, and what made it as data. A take without a speech was emptied by hand.
alter table take add column speech_id uuid references speech, add column source text not null default 'rendered', add column origin jsonb;
update take t set speech_id = s.id from speech s where s.recipe = t.recipe;
-- takes from before this was kept know their words and figures; marks and levels they don't know
update take t set origin = jsonb_strip_nulls(jsonb_build_object('version', 1, 'text', t.text, 'role', c.role, 'engineVersion', t.engine_version,
    'paceFactor', t.pace_factor, 'semitones', t.semitones, 'treatment', t.treatment, 'voice', jsonb_build_object('id', t.voice_id)))
    from cue c where c.id = t.cue_id;
alter table take alter column origin set not null, alter column recipe drop not null,
    drop column text, drop column voice_id, drop column engine_version, drop column pace_factor, drop column semitones, drop column treatment;
alter table take add constraint take_source check (source in ('rendered', 'recorded', 'uploaded', 'recast'));
create index take_speech on take (speech_id);

alter table cue add constraint cue_kept_take_fkey foreign key (kept_take) references take on delete set null;
create index cue_kept_take on cue (kept_take);

-- What happened to takes. Rows are added and never changed; they go with their project only.
create table take_event (
    id bigint generated always as identity primary key,
    take_id uuid not null references take on delete cascade,
    what text not null check (what in ('made', 'kept', 'deleted', 'restored', 'emptied')),
    at timestamptz not null
);
create index take_event_of_take on take_event (take_id, id);
insert into take_event (take_id, what, at) select id, 'made', created_at from take order by created_at, ordinal;
insert into take_event (take_id, what, at) select t.id, 'kept', t.created_at from take t join cue c on c.kept_take = t.id;
insert into take_event (take_id, what, at) select id, 'deleted', deleted_at from take where deleted_at is not null;
create function take_event_stays() returns trigger language plpgsql as $$
begin
    -- a cascade from a take that goes runs inside another trigger
    if tg_op = 'DELETE' and pg_trigger_depth() > 1 then
        return old;
    end if;
    raise exception 'What happened to takes is only added to.';
end $$;
create trigger take_event_stays before update or delete on take_event for each row execute function take_event_stays();

-- Foreign keys that were not there, or had no index.
create index batch_of_project on batch (project_id);
create index batch_agreement on batch (agreement_id);
create index reading_of_project on reading (project_id);
create index script_draft_of_project on script_draft (project_id);
create index charge_agreement on charge (agreement_id);
create index agreement_of_project on agreement (project_id);
create index dismissed_cue on dismissed (cue_id);
