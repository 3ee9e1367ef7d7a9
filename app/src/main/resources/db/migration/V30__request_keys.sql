-- Requests that made something, by a digest of the keys that they came with: one that is sent twice is done once.
create table request_key (
    key text primary key,
    at timestamptz not null default now(),
    ended_at timestamptz
);
create index request_key_at on request_key (at);
