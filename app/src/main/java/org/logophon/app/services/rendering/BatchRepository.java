package org.logophon.app.services.rendering;

import static org.logophon.app.platform.table.Columns.has;
import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.node.NodeBeat;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Tables {@code batch} and {@code batch_cue}. */
@Repository
class BatchRepository {

    private static final double MILLIS_A_SECOND = 1_000;
    /** Of what was rendered last, enough to tell the pace by. */
    private static final int FEW = 9;

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final NodeBeat node;

    BatchRepository(
            JdbcClient jdbc, JdbcTemplate batches, Clock clock, ApplicationEventPublisher events, NodeBeat node) {
        this.jdbc = jdbc;
        this.batches = batches;
        this.clock = clock;
        this.events = events;
        this.node = node;
    }

    /**
     * Few cues are some that somebody waits for; many are a batch, which comes after them.
     *
     * @param agreement under which it may pay; null for none
     * @param chance    of its own; null for none
     */
    UUID create(UUID project, List<UUID> cues, UUID agreement, Batch.Chance chance) {
        UUID id = UUID.randomUUID();
        jdbc.sql("insert into batch (id, project_id, agreement_id, seed, lively_percent, "
                        + "created_at) values (:id, :project, :agreement, :seed, :lively, :now)")
                .param("id", id)
                .param("project", project)
                .param("agreement", agreement)
                .param("seed", chance == null ? null : chance.seed())
                .param("lively", chance == null ? null : chance.livelyPercent())
                .param("now", now())
                .update();
        batches.batchUpdate(
                "insert into batch_cue (batch_id, cue_id, state, urgent) values (?, ?, 'waiting', ?)",
                cues,
                500,
                (statement, cue) -> {
                    statement.setObject(1, id);
                    statement.setObject(2, cue);
                    statement.setBoolean(3, cues.size() <= FEW);
                });
        return id;
    }

    /** @throws NotFound when the batch went with its project */
    Batch.BatchRequest asked(UUID batch) {
        return jdbc.sql("select project_id, agreement_id, seed, lively_percent from batch where id = :batch")
                .param("batch", batch)
                .query((row, at) -> new Batch.BatchRequest(
                        uuid(row, "project_id"),
                        uuid(row, "agreement_id"),
                        row.getObject("seed") == null
                                ? null
                                : new Batch.Chance(row.getLong("seed"), row.getInt("lively_percent"))))
                .optional()
                .orElseThrow(() -> new NotFound("The project is gone."));
    }

    /** Cues of a project that wait in any batch. */
    Set<UUID> underWay(UUID project) {
        return jdbc.sql("""
                select bc.cue_id from batch_cue bc join batch b on b.id = bc.batch_id
                where b.project_id = :project and bc.state =
                'waiting'""").param("project", project).query(UUID.class).set();
    }

    /** Takes a cue out of a batch, because what it was for was taken away: that is nobody's failure. */
    @Transactional
    public void withdraw(UUID batch, UUID cue) {
        hold(batch);
        jdbc.sql("""
                update batch_cue set state = 'cancelled', finished_at = :now
                where batch_id = :batch and cue_id = :cue and state = 'waiting'""")
                .param("now", now())
                .param("batch", batch)
                .param("cue", cue)
                .update();
    }

    /**
     * Ends a cue of a batch, unless it has ended already.
     *
     * @param problem sentence of a failure; null when the cue was rendered
     */
    @Transactional
    public void finish(UUID batch, UUID cue, String problem) {
        hold(batch);
        int ended = jdbc.sql("""
                update batch_cue set state = :state, problem = :problem, finished_at = :now, node_id = :node
                where batch_id = :batch and cue_id = :cue and state = 'waiting'""")
                .param("state", problem == null ? "done" : "failed")
                .param("problem", problem)
                .param("now", now())
                .param("node", node.id())
                .param("batch", batch)
                .param("cue", cue)
                .update();
        if (ended == 1) {
            over(batch).ifPresent(events::publishEvent);
        }
    }

    /** Empty while some of it wait. */
    private Optional<BatchOver> over(UUID batch) {
        return jdbc.sql("""
                select b.project_id, b.created_at, count(*) filter (where bc.state = 'done') as done,
                  count(*) filter (where bc.state = 'failed') as failed
                from batch b join batch_cue bc on bc.batch_id = b.id where b.id = :batch group by b.id
                having count(*) filter (where bc.state = 'waiting') = 0""")
                .param("batch", batch)
                .query((row, at) -> new BatchOver(
                        uuid(row, "project_id"),
                        row.getInt("done"),
                        row.getInt("failed"),
                        Duration.between(instant(row, "created_at"), clock.instant())))
                .optional();
    }

    /** Who changes a project holds its row first, so that nobody waits for another who waits for them. */
    void hold(UUID batch) {
        jdbc.sql("select p.id from batch b join project p on p.id = b.project_id where b.id = "
                        + ":batch for no key update of p")
                .param("batch", batch)
                .query(UUID.class)
                .optional();
    }

    /** Whoever asks for a cue that waits in a batch waits for it. */
    void hurry(UUID project, UUID cue) {
        jdbc.sql("""
                update batch_cue set urgent = true where cue_id = :cue and state = 'waiting' and not urgent
                and batch_id in (select id from batch
                where project_id = :project)""").param("cue", cue).param("project", project).update();
    }

    /** @param wait true to begin no more of what waits, until it is false */
    void pause(UUID project, boolean wait) {
        jdbc.sql("""
                update batch set paused_at = case when :wait then coalesce(paused_at, :now) end,
                gone_on_at = case when not :wait and paused_at is not null then :now else gone_on_at end
                where project_id = :project
                and exists (select 1 from batch_cue where batch_id = batch.id and state = 'waiting')""")
                .param("wait", wait)
                .param("now", now())
                .param("project", project)
                .update();
        jdbc.sql("select project_changed(array[:project], 'status')")
                .param("project", project)
                .query((row, at) -> true)
                .single();
    }

    void cancel(UUID project) {
        jdbc.sql("update batch set cancelled_at = :now where project_id = :project and cancelled_at is null")
                .param("now", now())
                .param("project", project)
                .update();
        jdbc.sql("""
                update batch_cue set state = 'cancelled', finished_at = :now where state = 'waiting'
                and batch_id in (select id from batch
                where project_id = :project)""").param("now", now()).param("project", project).update();
    }

    Optional<Batch> latest(UUID project) {
        return jdbc.sql("""
                with latest as (
                  select b.*, count(*) as total, count(*) filter (where bc.state = 'waiting') as waiting,
                    count(*) filter (where bc.state = 'failed') as failed,
                    min(c.number) filter (where bc.state = 'waiting') as running,
                    coalesce(sum(length(c.text)) filter (where bc.state = 'waiting'), 0) as left_letters
                  from batch b join batch_cue bc on bc.batch_id = b.id join cue c on c.id = bc.cue_id
                  where b.project_id = :project group by b.id
                  order by (count(*) filter (where bc.state = 'waiting') > 0) desc, b.created_at desc limit 1)
                select latest.*, lately.ends, lately.letters, beside.letters as beside_letters
                from latest join project p on p.id = latest.project_id left join lateral (
                  select array_agg(extract(epoch from done.finished_at)::float8 order by done.finished_at) as ends,
                    array_agg(done.letters order by done.finished_at) as letters
                  from (select bc.finished_at, length(c.text) as letters from batch_cue bc
                    join batch b on b.id = bc.batch_id join project op on op.id = b.project_id
                    join cue c on c.id = bc.cue_id
                    where latest.waiting > 0 and bc.state in ('done', 'failed') and bc.finished_at >= latest.created_at
                      and op.workspace_id = p.workspace_id
                    order by bc.finished_at desc limit :lately) done) lately on true left join lateral (
                  select coalesce(sum(least(other.letters, latest.left_letters)), 0) as letters
                  from (select sum(length(c.text)) as letters from batch_cue bc
                    join batch b on b.id = bc.batch_id join project op on op.id = b.project_id
                    join cue c on c.id = bc.cue_id
                    where latest.waiting > 0 and bc.state = 'waiting' and b.paused_at is null
                      and op.workspace_id = p.workspace_id and op.id <> p.id
                    group by op.id) other) beside on true""")
                .param("project", project)
                .param("lately", RenderPace.MOST + 1)
                .query(this::batch)
                .optional();
    }

    private Batch batch(ResultSet row, int at) throws SQLException {
        Array ends = row.getArray("ends");
        RenderPace pace = ends == null
                ? RenderPace.UNKNOWN
                : RenderPace.of(
                        seconds(row, "created_at"),
                        seconds(row, "gone_on_at"),
                        Stream.of((Double[]) ends.getArray())
                                .mapToDouble(Double::doubleValue)
                                .toArray(),
                        Stream.of((Integer[]) row.getArray("letters").getArray())
                                .mapToInt(Integer::intValue)
                                .toArray());
        return new Batch(
                uuid(row, "id"),
                row.getInt("total"),
                row.getInt("waiting"),
                row.getInt("failed"),
                row.getString("running") == null ? "" : row.getString("running"),
                has(row, "paused_at"),
                has(row, "cancelled_at"),
                pace.seconds(row.getLong("left_letters") + row.getLong("beside_letters")));
    }

    private static double seconds(ResultSet row, String column) throws SQLException {
        Instant at = instant(row, column);
        return at == null ? Double.NEGATIVE_INFINITY : at.toEpochMilli() / MILLIS_A_SECOND;
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }
}
