package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code caption_correction}: what readers see of a cue where it isn't what is spoken. */
@Repository
public class CaptionRepository {

    private final JdbcClient jdbc;

    CaptionRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param spoken words that it was made for */
    public record Corrected(String spoken, String shown) {

        public static final Corrected NONE = new Corrected("", "");

        /** Empty for other words than those it was made for: nobody has looked at what becomes of it. */
        public String shownFor(String text) {
            return spoken.equals(text) ? shown : "";
        }
    }

    /** By the cue's id. */
    public Map<UUID, Corrected> of(UUID project) {
        Map<UUID, Corrected> corrected = new HashMap<>();
        jdbc.sql("select s.cue_id, s.spoken, s.shown from caption_correction s join cue c on c.id = "
                        + "s.cue_id where c.project_id = :project")
                .param("project", project)
                .query(row -> {
                    corrected.put(uuid(row, "cue_id"), new Corrected(row.getString("spoken"), row.getString("shown")));
                });
        return corrected;
    }

    public void keep(UUID cue, Corrected corrected) {
        jdbc.sql("""
                insert into caption_correction (cue_id, spoken, shown) values (:cue, :spoken, :shown)
                on conflict (cue_id) do update set spoken = excluded.spoken, shown = excluded.shown""")
                .param("cue", cue)
                .param("spoken", corrected.spoken())
                .param("shown", corrected.shown())
                .update();
    }

    public void remove(UUID cue) {
        jdbc.sql("delete from caption_correction where cue_id = :cue")
                .param("cue", cue)
                .update();
    }
}
