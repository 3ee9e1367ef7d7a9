package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.audio.SoundColumns;
import org.logophon.app.services.project.review.HeardColumns;
import org.logophon.app.services.project.take.TakeSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The status of cues, from their kept takes and latest renders. */
@Repository
class CueStatusRepository {

    /** Counted for all cues in question at once: thousands of small questions would take ten times as long. */
    private static final String SELECT = """
            with asked as (%s)
            select c.id, c.kept_take, c.kept_recipe, t.source, t.recipe as take_recipe, s.sound_id, w.sample_rate,
            w.samples, w.bits,
                   case when t.recipe is null then t.origin ->> 'text' end as spoken_text,
                   coalesce(made.takes, 0) as takes, work.state, work.problem,
                   a.words, a.voice, a.direction, a.readings, a.take, a.loudness, coalesce(a.writer, '') as approver,
                   coalesce(noted.notes, 0) as notes
            from cue c
            join asked on asked.id = c.id
            left join take t on t.id = c.kept_take left join speech s on s.id = t.speech_id left
            join sound w on w.id = s.sound_id
            left join approval a on a.cue_id = c.id
            left join (
                select n.cue_id, count(*) as notes from note n join asked on asked.id = n.cue_id
                where n.deleted_at is null and n.done_at is null group by n.cue_id) as noted on noted.cue_id = c.id
            left join (
                select n.cue_id, count(*) as takes from take n join asked on asked.id = n.cue_id
                where n.deleted_at is null group by n.cue_id) as made on made.cue_id = c.id
            left join (
                select distinct on (bc.cue_id) bc.cue_id, bc.state, bc.problem
                from batch_cue bc join asked on asked.id = bc.cue_id join batch b on b.id = bc.batch_id
                order by bc.cue_id, b.created_at desc) as work on work.cue_id = c.id
            """;

    private static final String OF_PROJECT =
            SELECT.formatted("select id from cue where project_id = :project and removed_at is null");
    private static final String OF_CUE = SELECT.formatted("select id from cue where id = :cue");

    private final JdbcClient jdbc;

    CueStatusRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** By cue. */
    Map<UUID, CueStatus> of(UUID project) {
        Map<UUID, CueStatus> all = new HashMap<>();
        jdbc.sql(OF_PROJECT).param("project", project).query(row -> {
            all.put(uuid(row, "id"), status(row, 0));
        });
        return all;
    }

    Optional<CueStatus> ofCue(UUID cue) {
        return jdbc.sql(OF_CUE)
                .param("cue", cue)
                .query(CueStatusRepository::status)
                .optional();
    }

    private static CueStatus status(ResultSet row, int at) throws SQLException {
        String source = row.getString("source");
        return new CueStatus(
                uuid(row, "kept_take"),
                row.getString("kept_recipe"),
                source == null ? null : TakeSource.of(source),
                row.getString("take_recipe"),
                row.getString("spoken_text"),
                SoundColumns.read(row),
                row.getInt("takes"),
                "waiting".equals(row.getString("state")),
                row.getString("problem"),
                HeardColumns.read(row),
                row.getString("approver"),
                row.getInt("notes"));
    }
}
