package org.logophon.app.services.project.review;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.logophon.core.review.ApprovalState;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code approval}. */
@Repository
public class ApprovalRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    ApprovalRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A cue is found good as it was heard; an earlier approval is replaced. */
    public void approve(UUID cue, ApprovalState heard, Author by) {
        jdbc.sql("""
                insert into approval (cue_id, words, voice, direction, readings, take, loudness, at, writer, share_id)
                values (:cue, :words, :voice, :direction, :readings, :take, :loudness, :now, :writer, :share)
                on conflict (cue_id) do update set words = excluded.words,
                voice = excluded.voice, direction = excluded.direction,
                readings = excluded.readings, take = excluded.take, loudness = excluded.loudness, at = excluded.at,
                writer = excluded.writer, share_id = excluded.share_id""")
                .param("writer", by.name())
                .param("share", by.share())
                .param("cue", cue)
                .param("words", heard.words())
                .param("voice", heard.voice())
                .param("direction", heard.direction())
                .param("readings", heard.readings())
                .param("take", heard.take())
                .param("loudness", heard.loudness())
                .param("now", time(clock.instant()))
                .update();
    }

    /** An approval by a link. */
    public record Shared(UUID cue, ApprovalState heard, String writer) {}

    public List<Shared> ofShare(UUID share) {
        return jdbc.sql("select * from approval where share_id = :share")
                .param("share", share)
                .query((row, at) -> new Shared(uuid(row, "cue_id"), HeardColumns.read(row), row.getString("writer")))
                .list();
    }

    /** @return false when it wasn't approved by this link */
    public boolean withdraw(UUID cue, UUID share) {
        return jdbc.sql("delete from approval where cue_id = :cue and share_id = :share")
                        .param("cue", cue)
                        .param("share", share)
                        .update()
                == 1;
    }

    /** @return false when it wasn't approved */
    public boolean withdraw(UUID cue) {
        return jdbc.sql("delete from approval where cue_id = :cue")
                        .param("cue", cue)
                        .update()
                == 1;
    }
}
