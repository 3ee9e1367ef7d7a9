-- What took no longer than anybody waits for: addresses are called for it, and nobody is told.
alter table tiding add column brief boolean not null default false;
