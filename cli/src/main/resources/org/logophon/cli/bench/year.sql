-- 499 copies of a project, with five takes of each cue, of which the last is kept and has a speech of its own
begin;
create temp table made_project on commit drop as select gen_random_uuid() as id, n from generate_series(1, 499) as n;
create temp table made_cue on commit drop as
  select gen_random_uuid() as id, c.id as was, p.id as project_id from made_project p cross join cue c where c.project_id = :'project';
create temp table made_take on commit drop as
  select gen_random_uuid() as id, gen_random_uuid() as speech_id, m.id as cue_id, t.id as was, n as ordinal
  from made_cue m join take t on t.cue_id = m.was cross join generate_series(1, 5) as n;
create index on made_take (cue_id);
insert into project select (jsonb_populate_record(p, jsonb_build_object('id', m.id, 'name', 'Year ' || m.n))).*
  from project p cross join made_project m where p.id = :'project';
insert into role select (jsonb_populate_record(r, jsonb_build_object('project_id', m.id))).* from role r cross join made_project m where r.project_id = :'project';
insert into script_version select (jsonb_populate_record(v, jsonb_build_object('project_id', m.id))).*
  from script_version v cross join made_project m where v.project_id = :'project';
insert into cue select (jsonb_populate_record(c, jsonb_build_object('id', m.id, 'project_id', m.project_id, 'kept_take', null))).* from made_cue m join cue c on c.id = m.was;
insert into speech select (jsonb_populate_record(s, jsonb_build_object('id', m.speech_id, 'recipe', null))).*
  from made_take m join take t on t.id = m.was join speech s on s.id = t.speech_id where m.ordinal = 5;
insert into take select (jsonb_populate_record(t, jsonb_build_object('id', m.id, 'cue_id', m.cue_id, 'ordinal', m.ordinal,
    'recipe', case m.ordinal when 5 then t.recipe else md5(m.id::text) end,
    'speech_id', case m.ordinal when 5 then m.speech_id else t.speech_id end))).*
  from made_take m join take t on t.id = m.was;
insert into take_event (take_id, what, at) select id, 'made', now() from made_take;
insert into take_event (take_id, what, at) select id, 'kept', now() from made_take where ordinal = 5;
update cue set kept_take = m.id from made_take m where m.cue_id = cue.id and m.ordinal = 5;
select id from made_project;
commit;
analyze;
