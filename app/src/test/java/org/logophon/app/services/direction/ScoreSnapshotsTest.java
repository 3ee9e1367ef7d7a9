package org.logophon.app.services.direction;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.app.services.direction.ScoreEdits.Snapshot;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;

/** Undo reaches back over every version of the application: what an earlier one wrote is read. */
class ScoreSnapshotsTest {

    private static final UUID CUE = UUID.fromString("6b1f7e0a-9f0d-4f58-9c6e-0a60a8f1c001");
    private static final String WRITTEN = "{\"6b1f7e0a-9f0d-4f58-9c6e-0a60a8f1c001\":{\"text\":\"The lamp, "
            + "lit.\",\"marks\":[[4,8,\"pace\",\"92\",\"OWN\",\"\"],[4,9,\"pause\",\"400\",\"SUGGESTED\",\"a "
            + "comma\"]]}}";
    private static final Map<UUID, Snapshot> SNAPSHOTS = Map.of(
            CUE,
            new Snapshot(
                    "The lamp, lit.",
                    new Marks(List.of(
                            Mark.own(4, 8, new Instruction.Pace(92)),
                            new Mark(4, 9, new Instruction.Pause(400), Mark.Origin.SUGGESTED, "a comma")))));

    @Test
    void whatWasWrittenIsRead() {
        assertThat(ScoreSnapshots.read(WRITTEN)).isEqualTo(SNAPSHOTS);
        assertThat(ScoreSnapshots.read(ScoreSnapshots.write(SNAPSHOTS))).isEqualTo(SNAPSHOTS);
    }

    @Test
    void aCueWithoutMarksIsKeptAsOne() {
        Map<UUID, Snapshot> none = Map.of(CUE, new Snapshot("", Marks.NONE));
        assertThat(ScoreSnapshots.read(ScoreSnapshots.write(none))).isEqualTo(none);
    }
}
