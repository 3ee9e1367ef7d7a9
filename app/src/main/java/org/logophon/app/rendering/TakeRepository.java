package org.logophon.app.rendering;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.logophon.core.render.Recipe;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code take}. */
@Repository
public class TakeRepository {

    private static final String SELECT = "select t.*, s.seconds from take t join speech s on s.recipe = t.recipe ";

    private final JdbcClient jdbc;
    private final Clock clock;

    TakeRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Newest first, deleted ones left out. */
    public List<Take> of(UUID cue) {
        return jdbc.sql(SELECT + "where t.cue_id = :cue and t.deleted_at is null order by t.ordinal desc")
                .param("cue", cue)
                .query(TakeRepository::take)
                .list();
    }

    public Optional<Take> find(UUID take) {
        return jdbc.sql(SELECT + "where t.id = :take")
                .param("take", take)
                .query(TakeRepository::take)
                .optional();
    }

    /**
     * The cue's take of a recipe, made when it is missing and brought back when it was deleted. Call it in the
     * transaction
     * that holds the cue's row, so that two renders don't number a take alike.
     */
    UUID takeOf(UUID cue, Recipe recipe) {
        jdbc.sql("select id from cue where id = :cue for update")
                .param("cue", cue)
                .query(UUID.class)
                .single();
        jdbc.sql("""
                insert into take (id, cue_id, ordinal, recipe, text, voice_id, engine_version, pace_factor, semitones, treatment, created_at)
                select :id, :cue, coalesce(max(ordinal), 0) + 1, :recipe, :text, :voice, :engine, :pace, :semitones, :treatment, :now
                from take where cue_id = :cue
                on conflict (cue_id, recipe) do update set deleted_at = null""")
                .param("id", UUID.randomUUID())
                .param("cue", cue)
                .param("recipe", recipe.hash())
                .param("text", recipe.text())
                .param("voice", recipe.voice().id())
                .param("engine", recipe.engineVersion())
                .param("pace", recipe.paceFactor())
                .param("semitones", recipe.semitones())
                .param(
                        "treatment",
                        Stream.of(recipe.style(), recipe.treatment().words())
                                .filter(words -> !words.isEmpty())
                                .collect(Collectors.joining(", ")))
                .param("now", now())
                .update();
        return jdbc.sql("select id from take where cue_id = :cue and recipe = :recipe")
                .param("cue", cue)
                .param("recipe", recipe.hash())
                .query(UUID.class)
                .single();
    }

    public void setDeleted(UUID take, boolean deleted) {
        jdbc.sql("update take set deleted_at = :at where id = :take")
                .param("at", deleted ? now() : null)
                .param("take", take)
                .update();
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    private static Take take(ResultSet row, int at) throws SQLException {
        return new Take(
                row.getObject("id", UUID.class),
                row.getObject("cue_id", UUID.class),
                row.getInt("ordinal"),
                row.getString("recipe"),
                row.getString("text"),
                row.getString("voice_id"),
                row.getDouble("pace_factor"),
                row.getDouble("semitones"),
                row.getString("treatment"),
                row.getDouble("seconds"),
                row.getObject("created_at", OffsetDateTime.class).toInstant());
    }
}
