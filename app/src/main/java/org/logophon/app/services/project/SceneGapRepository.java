package org.logophon.app.services.project;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code scene_gap}: silence at the end of scenes. */
@Repository
public class SceneGapRepository {

    private final JdbcClient jdbc;

    SceneGapRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Milliseconds, by scene. */
    public Map<String, Integer> of(UUID project) {
        Map<String, Integer> gaps = new HashMap<>();
        jdbc.sql("select scene, millis from scene_gap where project_id = :project")
                .param("project", project)
                .query(row -> {
                    gaps.put(row.getString("scene"), row.getInt("millis"));
                });
        return gaps;
    }

    /** @param millis null for none of its own */
    public void set(UUID project, String scene, Integer millis) {
        jdbc.sql("delete from scene_gap where project_id = :project and scene = :scene")
                .param("project", project)
                .param("scene", scene)
                .update();
        if (millis != null) {
            jdbc.sql("insert into scene_gap (project_id, scene, millis) values (:project, :scene, :millis)")
                    .param("project", project)
                    .param("scene", scene)
                    .param("millis", millis)
                    .update();
        }
    }
}
