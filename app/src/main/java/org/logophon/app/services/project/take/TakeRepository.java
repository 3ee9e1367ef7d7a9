package org.logophon.app.services.project.take;

import static org.logophon.app.platform.table.Columns.has;
import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.texts;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.audio.SoundColumns;
import org.logophon.core.voice.take.TakeOrigin;
import org.logophon.core.voice.take.TakeOriginJson;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code take}. */
@Repository
public class TakeRepository {

    private static final String SELECT = """
            select t.*, s.sound_id, w.sample_rate, w.samples, w.bits from take t
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

    /** The same with those that were deleted and can come back. */
    public List<Take> withDeleted(UUID cue) {
        return jdbc.sql(SELECT + "where t.cue_id = :cue order by t.ordinal desc")
                .param("cue", cue)
                .query(TakeRepository::take)
                .list();
    }

    /** Of each cue of a project that has such a take. @param scene empty for all of them */
    public Map<UUID, UUID> chosen(UUID project, TakeChoice choice, String scene) {
        return byCue(jdbc.sql("""
                select distinct on (c.id) c.id as cue, t.id as take from take t join cue c on c.id = t.cue_id
                join speech s on s.id = t.speech_id join sound w on w.id = s.sound_id
                where c.project_id = :project and c.removed_at is null and t.deleted_at is null and %s
                and (:scene = '' or c.scene = :scene)
                order by c.id, %s""".formatted(choice.which(), choice.order()))
                .param("project", project)
                .param("scene", scene));
    }

    /** The take of each cue that was kept at a time, as far as it is there. */
    public Map<UUID, UUID> keptAt(UUID project, Instant at) {
        return byCue(jdbc.sql("""
                select distinct on (c.id) c.id as cue, t.id as take from take_event e
                join take t on t.id = e.take_id join cue c on c.id = t.cue_id
                where c.project_id = :project and c.removed_at is null and e.what = 'kept' and e.at <= :at
                and t.speech_id is not null
                order by c.id, e.id desc""").param("project", project).param("at", time(at)));
    }

    private static Map<UUID, UUID> byCue(JdbcClient.StatementSpec query) {
        Map<UUID, UUID> takes = new HashMap<>();
        query.query(row -> {
            takes.put(uuid(row, "cue"), uuid(row, "take"));
        });
        return takes;
    }

    /** @return false when the take is gone */
    public boolean describe(UUID take, TakeWords said) {
        return jdbc.sql("update take set name = :name, starred = :starred, remark = :remark, "
                                + "labels = :labels where id = :take and speech_id is not null")
                        .param("name", said.name())
                        .param("starred", said.starred())
                        .param("remark", said.remark())
                        .param("labels", said.labels().toArray(String[]::new))
                        .param("take", take)
                        .update()
                == 1;
    }

    /** Labels in use in a project, the most used first. */
    public List<String> labels(UUID project) {
        return jdbc.sql("""
                select label from take t join cue c on c.id = t.cue_id cross join lateral unnest(t.labels) as label
                where c.project_id = :project group by label order by count(*) desc, label
                limit 60""").param("project", project).query(String.class).list();
    }

    private static final String LOOSE = """
            t.deleted_at is null and not t.starred and t.labels = '{}' and t.name = '' and t.remark = ''
            and c.kept_take is distinct from t.id
            and not exists (select 1 from note n where n.done_take = t.id and n.deleted_at is null)""";

    private static final String OF_PROJECT =
            "take t join cue c on c.id = t.cue_id join speech s on s.id = t.speech_id join sound w on w.id "
                    + "= s.sound_id where c.project_id = :project and ";

    public TakeSpace space(UUID project) {
        return jdbc.sql("""
                with own as (select w.id as sound, w.samples * w.bits / 8 as bytes, t.deleted_at is not null as deleted,
                (%s) as loose from %s true),
                sounds as (select sound, max(bytes) as bytes, bool_and(deleted) as deleted, bool_and(loose) as loose
                from own group by sound)
                select (select count(*) from own where not deleted) as takes, (select count(*) from own
                where loose) as loose,
                       (select count(*) from own where deleted) as deleted,
                       coalesce(sum(bytes), 0) as bytes, coalesce(sum(bytes) filter (where loose), 0) as loose_bytes,
                       coalesce(sum(bytes) filter (where deleted), 0) as deleted_bytes
                       from sounds""".formatted(LOOSE, OF_PROJECT))
                .param("project", project)
                .query((row, at) -> new TakeSpace(
                        row.getLong("takes"),
                        row.getLong("bytes"),
                        row.getLong("loose"),
                        row.getLong("loose_bytes"),
                        row.getLong("deleted"),
                        row.getLong("deleted_bytes")))
                .single();
    }

    /** Takes that nobody has said anything of, and that aren't kept. */
    public List<UUID> loose(UUID project) {
        return jdbc.sql("select t.id from " + OF_PROJECT + LOOSE)
                .param("project", project)
                .query(UUID.class)
                .list();
    }

    /** Empties deleted takes: what made them stays, their sound goes. @return their speeches */
    public List<UUID> empty(UUID project) {
        List<Emptied> emptied = jdbc.sql("select t.id, t.speech_id from " + OF_PROJECT + "t.deleted_at is not null")
                .param("project", project)
                .query((row, at) -> new Emptied(uuid(row, "id"), uuid(row, "speech_id")))
                .list();
        for (Emptied take : emptied) {
            jdbc.sql("update take set speech_id = null where id = :take")
                    .param("take", take.take())
                    .update();
            events.add(take.take(), TakeEvent.What.EMPTIED);
        }
        return emptied.stream().map(Emptied::speech).distinct().toList();
    }

    private record Emptied(UUID take, UUID speech) {}

    /** Those of some that are there. */
    public List<Take> all(Collection<UUID> wanted) {
        return wanted.isEmpty()
                ? List.of()
                : jdbc.sql(SELECT + "where t.id in (:takes)")
                        .param("takes", wanted)
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
     * The cue's take of a recipe, made when it is missing and brought back when it was deleted: rendered again, the
     * same recipe is another event and the same take. Call it in the transaction that {@linkplain #lock holds the cue},
     * so that two renders don't number a take alike.
     */
    public UUID rendered(UUID cue, String recipe, UUID speech, TakeOrigin origin) {
        lock(cue);
        insert(cue, TakeSource.ofRendered(origin), recipe, speech, origin);
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

    /** The words of a recording. */
    public Optional<String> textOf(UUID speech) {
        return jdbc.sql("select origin ->> 'text' from take where speech_id = :speech and recipe is null limit 1")
                .param("speech", speech)
                .query(String.class)
                .optional();
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
        return time(clock.instant());
    }

    private static Take take(ResultSet row, int at) throws SQLException {
        return new Take(
                uuid(row, "id"),
                uuid(row, "cue_id"),
                row.getInt("ordinal"),
                TakeSource.of(row.getString("source")),
                row.getString("recipe"),
                uuid(row, "speech_id"),
                SoundColumns.read(row),
                TakeOriginJson.read(row.getString("origin")),
                instant(row, "created_at"),
                new TakeWords(
                        row.getString("name"),
                        row.getBoolean("starred"),
                        row.getString("remark"),
                        texts(row, "labels")),
                has(row, "deleted_at"));
    }
}
