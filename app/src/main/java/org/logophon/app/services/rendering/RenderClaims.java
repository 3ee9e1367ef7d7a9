package org.logophon.app.services.rendering;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.node.NodeBeat;
import org.logophon.app.platform.node.Nodes;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code render_claim}: which lane is at which cue. */
@Repository
class RenderClaims {

    private final JdbcClient jdbc;
    private final NodeBeat node;
    private final Clock clock;

    RenderClaims(JdbcClient jdbc, NodeBeat node, Clock clock) {
        this.jdbc = jdbc;
        this.node = node;
        this.clock = clock;
    }

    /** @param urgent cues that somebody waits for. @param all cues, those among them */
    record Waiting(UUID workspace, int urgent, int all) {}

    /** Workspaces with cues that nobody has begun, and how many of theirs aren't rendered yet. */
    List<Waiting> waiting() {
        return jdbc.sql("""
                select p.workspace_id, count(*) filter (where bc.urgent) as urgent, count(*) as waiting
                from batch_cue bc join batch b on b.id = bc.batch_id join project p on p.id = b.project_id
                left join render_claim taken on taken.batch_id = bc.batch_id and taken.cue_id = bc.cue_id
                where bc.state = 'waiting' and b.paused_at is null
                group by p.workspace_id having count(*) > count(taken.lane)""")
                .query((row, at) -> new Waiting(uuid(row, "workspace_id"), row.getInt("urgent"), row.getInt("waiting")))
                .list();
    }

    /**
     * What a lane does next: what it was at, or another of a server that is gone; or else of what waits what somebody
     * waits for; then a cue of the project of which the fewest are rendered now; then of the batch that has waited
     * longest since it was its turn. Nothing is locked in between: two lanes may find the same cue, and one of them
     * looks again.
     */
    Optional<RenderJob> next(Lane lane) {
        UUID holder = UUID.randomUUID();
        Optional<RenderJob> begun = takeOver(lane, holder, "c.lane = :lane");
        if (begun.isPresent()) {
            return begun;
        }
        jdbc.sql("delete from render_claim where lane = :lane")
                .param("lane", lane.id())
                .update();
        Optional<RenderJob> left = takeOver(lane, holder, """
                c.lane = (
                  select old.lane from render_claim old join batch b on b.id = old.batch_id
                  join project p on p.id = b.project_id left join node on node.id = old.node_id and %s
                  where p.workspace_id = :workspace and node.id is null
                  limit 1 for no key update of old skip locked)""".formatted(Nodes.THERE));
        if (left.isPresent()) {
            return left;
        }
        Optional<RenderJob> found = find(lane, holder);
        while (found.isPresent() && !claim(lane, found.get())) {
            found = find(lane, holder);
        }
        return found;
    }

    private Optional<RenderJob> takeOver(Lane lane, UUID holder, String which) {
        return jdbc.sql("""
                update render_claim c set lane = :lane, holder = :holder, node_id = :node from batch_cue bc
                where bc.batch_id = c.batch_id and bc.cue_id = c.cue_id and bc.state = 'waiting' and %s
                returning c.batch_id, c.cue_id""".formatted(which))
                .param("lane", lane.id())
                .param("holder", holder)
                .param("node", node.id())
                .param("workspace", lane.workspace())
                .param("gone", Nodes.GONE_AFTER.toSeconds())
                .query((row, at) -> new RenderJob(uuid(row, "batch_id"), uuid(row, "cue_id"), holder))
                .optional();
    }

    private Optional<RenderJob> find(Lane lane, UUID holder) {
        return jdbc.sql("""
                select bc.batch_id, bc.cue_id
                from batch_cue bc join batch b on b.id = bc.batch_id join project p on p.id = b.project_id
                join cue c on c.id = bc.cue_id
                where p.workspace_id = :workspace and bc.state = 'waiting' and b.paused_at is null and (bc.urgent
                or not :urgent)
                  and not exists (select 1 from render_claim taken where taken.batch_id = bc.batch_id
                  and taken.cue_id = bc.cue_id)
                order by bc.urgent desc,
                  (select count(*) from render_claim now join batch nb on nb.id = now.batch_id
                  where nb.project_id = b.project_id),
                  b.served_at nulls first, b.created_at, b.id, c.position
                limit 1""")
                .param("workspace", lane.workspace())
                .param("urgent", lane.urgent())
                .query((row, at) -> new RenderJob(uuid(row, "batch_id"), uuid(row, "cue_id"), holder))
                .optional();
    }

    /** @return false when another lane was quicker, or it was taken back */
    private boolean claim(Lane lane, RenderJob job) {
        int claimed = jdbc.sql("""
                insert into render_claim (lane, batch_id, cue_id, holder, node_id, claimed_at)
                select :lane, batch_id, cue_id, :holder, :node, :now from batch_cue where batch_id = :batch
                and cue_id = :cue and state = 'waiting'
                on conflict (batch_id, cue_id) do nothing""")
                .param("lane", lane.id())
                .param("batch", job.batch())
                .param("cue", job.cue())
                .param("holder", job.holder())
                .param("node", node.id())
                .param("now", now())
                .update();
        if (claimed == 1) {
            jdbc.sql("update batch set served_at = :now where id = :batch")
                    .param("now", now())
                    .param("batch", job.batch())
                    .update();
        }
        return claimed == 1;
    }

    /** Gives up what a lane is at, for good. @return what that was */
    Optional<RenderJob> giveUp(Lane lane) {
        return jdbc.sql("delete from render_claim where lane = :lane returning batch_id, cue_id, holder")
                .param("lane", lane.id())
                .query((row, at) -> new RenderJob(uuid(row, "batch_id"), uuid(row, "cue_id"), uuid(row, "holder")))
                .optional();
    }

    /**
     * Ends what was claimed, in the caller's transaction.
     *
     * @return false when it was taken over by another meanwhile, who ends it in this one's place
     */
    boolean end(RenderJob job) {
        return jdbc.sql("delete from render_claim where batch_id = :batch and cue_id = :cue and holder = :holder")
                        .param("batch", job.batch())
                        .param("cue", job.cue())
                        .param("holder", job.holder())
                        .update()
                == 1;
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }
}
