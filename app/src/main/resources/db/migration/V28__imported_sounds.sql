-- A sound of a project belongs to the project's workspace. Those that came in with a project file had none, and were shown
-- to everybody as sounds that come with Logophon.
update sound_file f set workspace_id = p.workspace_id from project p where p.id = f.project_id and f.workspace_id is null;
alter table sound_file add constraint sound_file_owner check (project_id is null or workspace_id is not null);
