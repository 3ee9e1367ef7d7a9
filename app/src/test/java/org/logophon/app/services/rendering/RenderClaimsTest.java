package org.logophon.app.services.rendering;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.logophon.app.SharedApplication;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Which cue is rendered next. What waits here is never committed: no lane of the application sees it. */
class RenderClaimsTest extends SharedApplication {

    private static final int CUES = 12;

    @Autowired
    private RenderClaims claims;

    @Autowired
    private BatchRepository batches;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private TransactionTemplate transaction;

    private UUID workspace;
    private UUID first;
    private UUID second;

    @BeforeEach
    void make() {
        first = id(project("Fair, one", script()));
        second = id(project("Fair, two", script()));
        workspace = UUID.randomUUID();
    }

    private static String script() {
        return String.join(
                "\n\n",
                IntStream.range(0, CUES).mapToObj(i -> "Lamp number " + i + ".").toList());
    }

    private List<UUID> cues(UUID project) {
        return jdbc.queryForList("select id from cue where project_id = ? order by position", UUID.class, project);
    }

    private Lane lane(int number) {
        return new Lane(workspace, false, number);
    }

    private UUID projectOf(RenderJob job) {
        return jdbc.queryForObject("select project_id from cue where id = ?", UUID.class, job.cue());
    }

    /** In a transaction that is taken back: both projects in a workspace of their own. */
    private void aside(Runnable test) {
        transaction.executeWithoutResult(status -> {
            status.setRollbackOnly();
            jdbc.update("insert into workspace (id, name, made_at) values (?, 'Fair', now())", workspace);
            jdbc.update("update project set workspace_id = ? where id in (?, ?)", workspace, first, second);
            test.run();
        });
    }

    @Test
    void whoWaitsComesFirstAndThenProjectsTakeTurns() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            batches.create(second, cues(second), null, null);
            batches.create(second, List.of(cues(second).get(CUES - 1)), null, null);
            RenderJob urgent = claims.next(lane(1)).orElseThrow();
            assertThat(urgent.cue()).isEqualTo(cues(second).get(CUES - 1));
            List<UUID> next = Stream.of(2, 3, 4, 5)
                    .map(lane -> projectOf(claims.next(lane(lane)).orElseThrow()))
                    .toList();
            assertThat(next)
                    .as("the one with a cue under way waits for the other")
                    .startsWith(first);
            assertThat(Collections.frequency(next, first)).isEqualTo(2);
            assertThat(Collections.frequency(next, second)).isEqualTo(2);
        });
    }

    @Test
    void oneLaneAloneTakesTurnsToo() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            batches.create(second, cues(second), null, null);
            List<UUID> turns = IntStream.range(0, 6)
                    .mapToObj(i -> {
                        RenderJob job = claims.next(lane(1)).orElseThrow();
                        assertThat(claims.end(job)).isTrue();
                        batches.finish(job.batch(), job.cue(), null);
                        return projectOf(job);
                    })
                    .toList();
            assertThat(turns).containsExactly(first, second, first, second, first, second);
        });
    }

    @Test
    void whatIsPausedOrOfAnotherWorkspaceIsLeftAndAHurriedCueComesFirst() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            batches.create(second, cues(second), null, null);
            batches.pause(first, true);
            assertThat(claims.next(new Lane(UUID.randomUUID(), false, 1))).isEmpty();
            assertThat(claims.next(new Lane(workspace, true, 1)))
                    .as("nobody waits")
                    .isEmpty();
            assertThat(projectOf(claims.next(lane(1)).orElseThrow())).isEqualTo(second);
            assertThat(projectOf(claims.next(lane(2)).orElseThrow())).isEqualTo(second);
            batches.pause(first, false);
            batches.hurry(first, cues(first).get(7));
            assertThat(claims.next(new Lane(workspace, true, 1)).orElseThrow().cue())
                    .isEqualTo(cues(first).get(7));
        });
    }

    @Test
    void whatIsRenderedOfAPausedBatchHidesNothingThatWaits() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            claims.next(lane(1)).orElseThrow();
            batches.pause(first, true);
            assertThat(claims.waiting())
                    .noneMatch(waiting -> waiting.workspace().equals(workspace));
            batches.create(second, cues(second).subList(0, 1), null, null);
            assertThat(claims.waiting()).contains(new RenderClaims.Waiting(workspace, 1, 1));
            claims.next(lane(2)).orElseThrow();
            assertThat(claims.waiting())
                    .noneMatch(waiting -> waiting.workspace().equals(workspace));
        });
    }

    @Test
    void whatWasTakenOverIsEndedByItsNewHolderAlone() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            RenderJob dead = claims.next(lane(1)).orElseThrow();
            RenderJob again = claims.next(lane(1)).orElseThrow();
            assertThat(again.cue()).isEqualTo(dead.cue());
            assertThat(claims.end(dead)).isFalse();
            assertThat(claims.end(again)).isTrue();
        });
    }

    @Test
    void whatAServerThatIsGoneWasAtIsTakenBeforeAnythingElse() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            RenderJob dead = claims.next(lane(7)).orElseThrow();
            jdbc.update("update render_claim set node_id = gen_random_uuid() where lane = ?", lane(7).id());
            RenderJob taken = claims.next(lane(1)).orElseThrow();
            assertThat(taken.cue()).isEqualTo(dead.cue());
            assertThat(claims.end(dead)).isFalse();
            assertThat(claims.next(lane(7)).orElseThrow().cue()).isNotEqualTo(dead.cue());
        });
    }

    @Test
    void everybodysFirstLaneComesBeforeAnybodysSecond() {
        Lane others = new Lane(UUID.randomUUID(), false, 1);
        assertThat(lane(1).priority()).isEqualTo(others.priority());
        assertThat(lane(2).priority()).isLessThan(others.priority());
        assertThat(new Lane(workspace, true, 1).priority()).isGreaterThan(others.priority());
        assertThat(Lane.parse(lane(3).id())).isEqualTo(lane(3));
    }

    /** A cue each second, by turns: ten of one and four of the other are left. */
    @Test
    void itsEndIsToldWithTheTurnsOfOthersBetween() {
        aside(() -> {
            batches.create(first, cues(first), null, null);
            batches.create(second, cues(second).subList(0, 6), null, null);
            for (int i = 0; i < 4; i++) {
                jdbc.update(
                        "update batch_cue set state = 'done', finished_at = (select max(created_at) from "
                                + "batch where project_id in (?, ?)) + make_interval(secs => ?) where cue_id = ?",
                        first,
                        second,
                        i + 1,
                        cues(i % 2 == 0 ? first : second).get(i / 2));
            }
            // what has passed since the last of them is in the pace
            assertThat(left(first)).isBetween(10L + 4, 10L + 4 + 5);
            assertThat(left(second)).as("the other has as many turns").isBetween(4L + 4, 4L + 4 + 5);
            batches.pause(second, true);
            assertThat(left(first)).isBetween(10L, 10L + 3);
        });
    }

    private long left(UUID project) {
        return batches.latest(project).orElseThrow().secondsLeft();
    }
}
