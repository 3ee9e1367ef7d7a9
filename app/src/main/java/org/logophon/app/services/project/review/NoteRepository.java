package org.logophon.app.services.project.review;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;
import static org.logophon.app.platform.table.Columns.whole;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.review.NotePlace;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code note}. A note that was taken away stays, so that this can be undone. */
@Repository
public class NoteRepository {

    private static final String SELECT = """
            select n.*, t.ordinal, d.ordinal as done_ordinal from note n
            left join take t on t.id = n.take_id left join take d on d.id = n.done_take
            join cue c on c.id = n.cue_id where n.deleted_at is null and\s""";

    private final JdbcClient jdbc;
    private final Clock clock;

    NoteRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Of a project, in the order of its cues; those of cues that left the script come last. */
    public List<Note> of(UUID project) {
        return jdbc.sql(SELECT
                        + "c.project_id = :project order by c.removed_at nulls first, c.position, n.start_index, n.at")
                .param("project", project)
                .query(NoteRepository::note)
                .list();
    }

    public List<Note> ofCue(UUID cue) {
        return jdbc.sql(SELECT + "n.cue_id = :cue order by n.start_index, n.at")
                .param("cue", cue)
                .query(NoteRepository::note)
                .list();
    }

    /** Those that were written by a link. */
    public List<Note> ofShare(UUID share) {
        return jdbc.sql(SELECT + "n.share_id = :share order by n.at")
                .param("share", share)
                .query(NoteRepository::note)
                .list();
    }

    public Optional<Note> find(UUID note) {
        return jdbc.sql(SELECT + "n.id = :note")
                .param("note", note)
                .query(NoteRepository::note)
                .optional();
    }

    /** True for who wrote it while they were signed in by that name. */
    public boolean writtenBy(UUID note, Author by) {
        return jdbc.sql("select 1 from note where id = :id and writer = :writer and share_id is null")
                .param("id", note)
                .param("writer", by.name())
                .query(Integer.class)
                .optional()
                .isPresent();
    }

    public UUID add(UUID cue, UUID take, NotePlace place, String remark, Author by) {
        UUID id = UUID.randomUUID();
        jdbc.sql("""
                insert into note (id, cue_id, take_id, on_text, start_index, end_index, remark, at, writer, share_id)
                values (:id, :cue, :take, :text, :start, :end, :remark, :now, :writer, :share)""")
                .param("writer", by.name())
                .param("share", by.share())
                .param("id", id)
                .param("cue", cue)
                .param("take", take)
                .param("text", place.text())
                .param("start", place.start())
                .param("end", place.end())
                .param("remark", remark)
                .param("now", now())
                .update();
        return id;
    }

    /** @return false when the note is no longer at that version: someone else changed it */
    public boolean rewrite(UUID note, String remark, int version) {
        return jdbc.sql("update note set remark = :remark, version = version + 1 where id = :note "
                                + "and version = :version and deleted_at is null")
                        .param("remark", remark)
                        .param("note", note)
                        .param("version", version)
                        .update()
                == 1;
    }

    /** @param take in which it is done; null for none. @return false when it was so already */
    public boolean done(UUID note, boolean done, UUID take) {
        return jdbc.sql("""
                update note set done_at = :at, done_take = :take, version = version + 1
                where id = :note and (done_at is null) = :done and deleted_at is null""")
                        .param("at", done ? now() : null)
                        .param("take", done ? take : null)
                        .param("note", note)
                        .param("done", done)
                        .update()
                == 1;
    }

    /** @return false when it was so already */
    public boolean setDeleted(UUID note, boolean deleted) {
        return jdbc.sql("update note set deleted_at = :at, version = version + 1 where id = :note "
                                + "and (deleted_at is null) = :deleted")
                        .param("at", deleted ? now() : null)
                        .param("note", note)
                        .param("deleted", deleted)
                        .update()
                == 1;
    }

    /** Lets a note go on to another cue, with its word. */
    public void move(UUID note, UUID cue, NotePlace place) {
        jdbc.sql("update note set cue_id = :cue, on_text = :text, start_index = :start, end_index = "
                        + ":end where id = :note")
                .param("cue", cue)
                .param("text", place.text())
                .param("start", place.start())
                .param("end", place.end())
                .param("note", note)
                .update();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }

    private static Note note(ResultSet row, int at) throws SQLException {
        return new Note(
                uuid(row, "id"),
                uuid(row, "cue_id"),
                new NotePlace(row.getString("on_text"), row.getInt("start_index"), row.getInt("end_index")),
                row.getString("remark"),
                row.getString("writer"),
                uuid(row, "take_id"),
                named(row, "ordinal"),
                row.getInt("version"),
                instant(row, "at"),
                instant(row, "done_at"),
                named(row, "done_ordinal"));
    }

    private static String named(ResultSet row, String column) throws SQLException {
        Integer ordinal = whole(row, column);
        return ordinal == null ? null : "T" + ordinal;
    }
}
