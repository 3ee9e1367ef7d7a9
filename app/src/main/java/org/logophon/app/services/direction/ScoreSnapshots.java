package org.logophon.app.services.direction;

import com.fasterxml.jackson.annotation.JsonFormat;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.services.direction.ScoreEdits.Setting;
import org.logophon.app.services.direction.ScoreEdits.Snapshot;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Scores of cues as JSON, by cue: the text that the marks stood on, and each mark as a short array. */
final class ScoreSnapshots {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<LinkedHashMap<UUID, Stored>> BY_CUE = new TypeReference<>() {};

    /** A cue's. */
    record Stored(
            String text,
            List<StoredMark> marks,
            @JsonInclude(JsonInclude.Include.NON_NULL) Setting setting) {

        static Stored of(Snapshot snapshot) {
            return new Stored(
                    snapshot.text(),
                    snapshot.marks().all().stream().map(StoredMark::of).toList(),
                    snapshot.setting());
        }

        Snapshot snapshot() {
            return new Snapshot(
                    text, new Marks(marks.stream().map(StoredMark::mark).toList()), setting);
        }
    }

    @JsonFormat(shape = JsonFormat.Shape.ARRAY)
    record StoredMark(int start, int end, String kind, String value, Mark.Origin origin, String reason) {

        static StoredMark of(Mark mark) {
            Instruction instruction = mark.instruction();
            return new StoredMark(
                    mark.start(), mark.end(), instruction.id(), instruction.value(), mark.origin(), mark.reason());
        }

        Mark mark() {
            return new Mark(start, end, Instruction.of(kind, value), origin, reason);
        }
    }

    private ScoreSnapshots() {}

    static String write(Map<UUID, Snapshot> snapshots) {
        Map<UUID, Stored> stored = new LinkedHashMap<>();
        snapshots.forEach((cue, snapshot) -> stored.put(cue, Stored.of(snapshot)));
        return JSON.writeValueAsString(stored);
    }

    static Map<UUID, Snapshot> read(String written) {
        Map<UUID, Snapshot> snapshots = new LinkedHashMap<>();
        JSON.readValue(written, BY_CUE).forEach((cue, stored) -> snapshots.put(cue, stored.snapshot()));
        return snapshots;
    }
}
