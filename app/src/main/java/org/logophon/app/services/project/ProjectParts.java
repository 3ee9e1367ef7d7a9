package org.logophon.app.services.project;

import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The parts of projects by the names that addresses have for them. */
@Repository
public class ProjectParts {

    /** A reading may be the house's, and then belongs to each of its projects. */
    private static final Map<String, String> OWNERS = Map.ofEntries(
            Map.entry("cue", "select 1 from cue where id = :part and project_id = :project"),
            Map.entry(
                    "take",
                    "select 1 from take t join cue c on c.id = t.cue_id where t.id = :part and "
                            + "c.project_id = :project"),
            Map.entry(
                    "reading",
                    "select 1 from reading where id = :part and (project_id = :project or workspace_id = "
                            + "(select workspace_id from project where id = :project))"),
            Map.entry("draft", "select 1 from script_draft where id = :part and project_id = :project"),
            Map.entry(
                    "note",
                    "select 1 from note n join cue c on c.id = n.cue_id where n.id = :part and "
                            + "c.project_id = :project"),
            Map.entry("slot", "select 1 from picture_slot where id = :part and project_id = :project"),
            Map.entry("upload", "select 1 from recording_upload where id = :part and project_id = :project"),
            Map.entry("share", "select 1 from share where id = :part and project_id = :project"),
            Map.entry("bed", "select 1 from bed where id = :part and project_id = :project"),
            Map.entry(
                    "sound",
                    "select 1 from sound_file where id = :part and (workspace_id is null or project_id = :project"
                            + " or project_id = (select version_of_id from project where id = :project) or "
                            + "project_id is null"
                            + " and workspace_id = (select workspace_id from project where id = :project))"),
            Map.entry("delivery", "select 1 from delivery where id = :part and project_id = :project"));

    private final JdbcClient jdbc;

    ProjectParts(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** True for what is no part of any project. */
    public boolean belongs(String kind, UUID part, UUID project) {
        String owner = OWNERS.get(kind);
        return owner == null
                || jdbc.sql(owner)
                        .param("part", part)
                        .param("project", project)
                        .query(Integer.class)
                        .optional()
                        .isPresent();
    }
}
