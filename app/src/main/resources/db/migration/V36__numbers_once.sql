-- A number stands once in a project. A cue that came back, or that only a translation has, could have another's: of two
-- the later one gets a letter.
do $$
declare
    doubled record;
    stem text;
    free text;
begin
    for doubled in
        select id, project_id, number from (
            select id, project_id, number, position,
                   row_number() over (partition by project_id, number order by position, id) as nth
            from cue where removed_at is null) counted
        where nth > 1 order by project_id, position
    loop
        stem := regexp_replace(doubled.number, '[A-Z]+$', '');
        select stem || letters into free
        from (select n, case when n < 26 then chr(65 + n) else chr(64 + n / 26) || chr(65 + n % 26) end as letters
              from generate_series(0, 701) as n) suffix
        where not exists (select 1 from cue c where c.project_id = doubled.project_id and c.number = stem || letters)
        order by n limit 1;
        update cue set number = free where id = doubled.id;
    end loop;
end $$;

-- looked at when all cues of a script have their new ones
alter table cue add constraint cue_number_once
    exclude using btree (project_id with =, number with =) where (removed_at is null) deferrable initially deferred;
