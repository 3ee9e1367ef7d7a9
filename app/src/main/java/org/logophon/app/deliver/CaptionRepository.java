package org.logophon.app.deliver;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code caption_correction}: what readers see of a cue where it isn't what is spoken. */
@Repository
class CaptionRepository {

    private final JdbcClient jdbc;

    CaptionRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param spoken words that it was made for */
    record Corrected(String spoken, String shown) {

        static final Corrected NONE = new Corrected("", "");

        /** Empty for other words than those it was made for: nobody has looked at what becomes of it. */
        String shownFor(String text) {
            return spoken.equals(text) ? shown : "";
        }
    }

    /** By the cue's id. */
    Map<UUID, Corrected> of(UUID project) {
        Map<UUID, Corrected> corrected = new HashMap<>();
        jdbc.sql("select cue_id, spoken, shown from caption_correction where project_id = :project")
                .param("project", project)
                .query(row -> {
                    corrected.put(
                            row.getObject("cue_id", UUID.class),
                            new Corrected(row.getString("spoken"), row.getString("shown")));
                });
        return corrected;
    }

    void keep(UUID project, UUID cue, Corrected corrected) {
        jdbc.sql("""
                insert into caption_correction (cue_id, project_id, spoken, shown) values (:cue, :project, :spoken, :shown)
                on conflict (cue_id) do update set spoken = excluded.spoken, shown = excluded.shown""")
                .param("cue", cue)
                .param("project", project)
                .param("spoken", corrected.spoken())
                .param("shown", corrected.shown())
                .update();
    }

    void remove(UUID cue) {
        jdbc.sql("delete from caption_correction where cue_id = :cue")
                .param("cue", cue)
                .update();
    }
}
