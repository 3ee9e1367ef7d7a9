package org.logophon.app.project.review;

import java.time.Clock;
import java.time.ZoneOffset;
import java.util.UUID;
import org.logophon.core.review.Heard;
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
    public void approve(UUID cue, Heard heard) {
        jdbc.sql("""
                insert into approval (cue_id, words, voice, direction, readings, take, loudness, at)
                values (:cue, :words, :voice, :direction, :readings, :take, :loudness, :now)
                on conflict (cue_id) do update set words = excluded.words, voice = excluded.voice, direction = excluded.direction,
                readings = excluded.readings, take = excluded.take, loudness = excluded.loudness, at = excluded.at""")
                .param("cue", cue)
                .param("words", heard.words())
                .param("voice", heard.voice())
                .param("direction", heard.direction())
                .param("readings", heard.readings())
                .param("take", heard.take())
                .param("loudness", heard.loudness())
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    /** @return false when it wasn't approved */
    public boolean withdraw(UUID cue) {
        return jdbc.sql("delete from approval where cue_id = :cue")
                        .param("cue", cue)
                        .update()
                == 1;
    }
}
