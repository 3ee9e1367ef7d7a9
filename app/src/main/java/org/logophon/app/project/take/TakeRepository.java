package org.logophon.app.project.take;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.audio.StoredSound;
import org.logophon.core.take.TakeOrigin;
import org.logophon.core.take.TakeOriginJson;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code take}. */
@Repository
public class TakeRepository {

    private static final String SELECT = """
            select t.*, s.sound_id, w.sample_rate, w.samples from take t
            join speech s on s.id = t.speech_id join sound w on w.id = s.sound_id
            """;

    private final JdbcClient jdbc;
    private final TakeEventRepository events;
    private final Clock clock;

    TakeRepository(JdbcClient jdbc, TakeEventRepository events, Clock clock) {
        this.jdbc = jdbc;
        this.events = events;
        this.clock = clock;
    }

    /** Newest first, deleted ones left out. */
    public List<Take> of(UUID cue) {
        return jdbc.sql(SELECT + "where t.cue_id = :cue and t.deleted_at is null order by t.ordinal desc")
                .param("cue", cue)
                .query(TakeRepository::take)
                .list();
    }

    /** Also a deleted one, unless it was emptied. */
    public Optional<Take> find(UUID take) {
        return jdbc.sql(SELECT + "where t.id = :take")
                .param("take", take)
                .query(TakeRepository::take)
                .optional();
    }

    /**
     * The cue's take of a recipe, made when it is missing and brought back when it was deleted: rendered again, the same
     * recipe is another event and the same take. Call it in the transaction that {@linkplain #lock holds the cue}, so that
     * two renders don't number a take alike.
     */
    public UUID rendered(UUID cue, String recipe, UUID speech, TakeOrigin origin) {
        lock(cue);
        insert(cue, TakeSource.RENDERED, recipe, speech, origin);
        UUID take = jdbc.sql("select id from take where cue_id = :cue and recipe = :recipe")
                .param("cue", cue)
                .param("recipe", recipe)
                .query(UUID.class)
                .single();
        events.add(take, TakeEvent.What.MADE);
        return take;
    }

    /** A take that no recipe made. Each is one of its own. */
    public UUID spoken(UUID cue, TakeSource source, UUID speech, TakeOrigin origin) {
        lock(cue);
        UUID take = insert(cue, source, null, speech, origin);
        events.add(take, TakeEvent.What.MADE);
        return take;
    }

    private UUID insert(UUID cue, TakeSource source, String recipe, UUID speech, TakeOrigin origin) {
        UUID id = UUID.randomUUID();
        jdbc.sql("""
                insert into take (id, cue_id, ordinal, source, recipe, speech_id, origin, created_at)
                select :id, :cue, coalesce(max(ordinal), 0) + 1, :source, :recipe, :speech, cast(:origin as jsonb), :now
                from take where cue_id = :cue
                on conflict (cue_id, recipe) do update set deleted_at = null, speech_id = excluded.speech_id""")
                .param("id", id)
                .param("cue", cue)
                .param("source", source.id())
                .param("recipe", recipe)
                .param("speech", speech)
                .param("origin", TakeOriginJson.write(origin))
                .param("now", now())
                .update();
        return id;
    }

    private void lock(UUID cue) {
        jdbc.sql("select id from cue where id = :cue for no key update")
                .param("cue", cue)
                .query(UUID.class)
                .single();
    }

    public void setDeleted(UUID take, boolean deleted) {
        int changed = jdbc.sql("update take set deleted_at = :at where id = :take and (deleted_at is null) = :deleted")
                .param("at", deleted ? now() : null)
                .param("take", take)
                .param("deleted", deleted)
                .update();
        if (changed == 1) {
            events.add(take, deleted ? TakeEvent.What.DELETED : TakeEvent.What.RESTORED);
        }
    }

    /** Takes note that a take was kept; which one is, the cue says. */
    public void kept(UUID take) {
        events.add(take, TakeEvent.What.KEPT);
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    private static Take take(ResultSet row, int at) throws SQLException {
        return new Take(
                row.getObject("id", UUID.class),
                row.getObject("cue_id", UUID.class),
                row.getInt("ordinal"),
                TakeSource.of(row.getString("source")),
                row.getString("recipe"),
                row.getObject("speech_id", UUID.class),
                new StoredSound(
                        row.getObject("sound_id", UUID.class), row.getInt("sample_rate"), row.getLong("samples")),
                TakeOriginJson.read(row.getString("origin")),
                row.getObject("created_at", OffsetDateTime.class).toInstant());
    }
}
