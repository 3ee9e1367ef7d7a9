package org.logophon.app.services.project.take;

import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.RecordingFigures;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Table {@code recording}: what holding recordings against their words told. */
@Repository
public class RecordingRepository {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<TakeFinding>> FINDINGS = new TypeReference<>() {};

    private final JdbcClient jdbc;

    RecordingRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * What was told of a recording.
     *
     * @param doubts      of its words, 0–1
     * @param left        findings that somebody left as they are: their kind and where they begin
     * @param cleanedFrom the speech that it was cleaned from; null for one as it was recorded
     * @param cleaning    how; null likewise
     */
    public record Told(
            List<Float> doubts,
            List<TakeFinding> findings,
            Set<String> left,
            RecordingFigures figures,
            UUID cleanedFrom,
            Cleaning cleaning) {}

    public void save(UUID speech, Told told) {
        jdbc.sql("""
                insert into recording (speech_id, doubts, findings, figures, cleaned_from_id, cleaning)
                values (:speech, :doubts, cast(:findings as jsonb), cast(:figures as jsonb),
                :from, cast(:cleaning as jsonb))""")
                .param("speech", speech)
                .param("doubts", told.doubts().toArray(Float[]::new))
                .param("findings", JSON.writeValueAsString(told.findings()))
                .param("figures", JSON.writeValueAsString(told.figures()))
                .param("from", told.cleanedFrom())
                .param("cleaning", told.cleaning() == null ? null : JSON.writeValueAsString(told.cleaning()))
                .update();
    }

    /** Empty for a speech that is no recording. */
    public Optional<Told> find(UUID speech) {
        return jdbc.sql("""
                select r.*, (select array_agg(d.kind || ' ' || d.start_index) from check_dismissed d
                where d.speech_id = r.speech_id) as dismissed
                from recording r where r.speech_id = :speech""")
                .param("speech", speech)
                .query(RecordingRepository::told)
                .optional();
    }

    /** As they are kept, in JSON. */
    public static List<TakeFinding> findings(String json) {
        return JSON.readValue(json, FINDINGS);
    }

    /** See {@link #findings}. */
    public static RecordingFigures figures(String json) {
        return JSON.readValue(json, RecordingFigures.class);
    }

    /** See {@link #findings}. */
    public static Cleaning cleaning(String json) {
        return JSON.readValue(json, Cleaning.class);
    }

    private static Told told(ResultSet row, int at) throws SQLException {
        Array doubts = row.getArray("doubts");
        Array dismissed = row.getArray("dismissed");
        String cleaning = row.getString("cleaning");
        return new Told(
                Arrays.asList((Float[]) doubts.getArray()),
                findings(row.getString("findings")),
                dismissed == null ? Set.of() : Set.of((String[]) dismissed.getArray()),
                figures(row.getString("figures")),
                uuid(row, "cleaned_from_id"),
                cleaning == null ? null : cleaning(cleaning));
    }
}
