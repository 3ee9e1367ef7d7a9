-- How much of the phrasing by signs and words is heard. What was made before says nothing of it and sounds as it did.
alter table project add column phrasing_percent integer;
alter table role add column phrasing_percent integer;
alter table cue add column phrasing_percent integer;
alter table project alter column phrasing_percent set default 100;

-- Of phrased speech: what its rests take, which no voice's rate depends on.
alter table speech add column rest_seconds double precision;
