-- The feed of the house: its address is kept as a digest only. One is open at a time.
create table feed (
    id uuid primary key,
    token_sha256 text not null unique,
    title text not null,
    description text not null,
    created_at timestamptz not null,
    taken_back_at timestamptz
);

-- Deliveries that their owner has put into it. The length is measured on the file itself.
create table feed_item (
    delivery_id uuid primary key references delivery on delete cascade,
    seconds float8 not null,
    added_at timestamptz not null
);
