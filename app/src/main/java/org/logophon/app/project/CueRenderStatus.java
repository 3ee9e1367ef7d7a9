package org.logophon.app.project;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What the latest batch did or is doing to each cue. */
@Repository
public class CueRenderStatus {

    private final JdbcClient jdbc;

    CueRenderStatus(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param problem why the last render failed, as a sentence; null when it didn't */
    public record Status(boolean waiting, String problem) {}

    /** By cue; a cue that no batch touched is not in it. */
    public Map<UUID, Status> of(UUID project) {
        Map<UUID, Status> work = new HashMap<>();
        jdbc.sql("""
                select distinct on (bc.cue_id) bc.cue_id, bc.state, bc.problem from batch_cue bc
                join batch b on b.id = bc.batch_id where b.project_id = :project
                order by bc.cue_id, b.created_at desc""").param("project", project).query(row -> {
            work.put(
                    row.getObject("cue_id", UUID.class),
                    new Status("waiting".equals(row.getString("state")), row.getString("problem")));
        });
        return work;
    }
}
