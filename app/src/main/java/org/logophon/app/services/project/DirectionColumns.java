package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.number;
import static org.logophon.app.platform.table.Columns.whole;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.logophon.core.direction.Direction;
import org.logophon.core.signal.effect.Effect;

/** The direction columns that projects, roles and cues have. */
final class DirectionColumns {

    static final String SET = """
            pace_percent = :pace, pitch_semitones = :pitch, range_percent = :range, loudness_db = :loudness,
            pause_after_millis = :pause, effect = :effect, effect_percent = :mix, style = :style,
            style_percent = :strength, phrasing_percent = :phrasing""";
    static final String NAMES =
            "pace_percent, pitch_semitones, range_percent, loudness_db, pause_after_millis, effect, "
                    + "effect_percent, style, style_percent, phrasing_percent";

    /** One for each name. */
    static final String MARKS = "?, ?, ?, ?, ?, ?, ?, ?, ?, ?";

    private DirectionColumns() {}

    static Direction read(ResultSet row) throws SQLException {
        return new Direction(
                whole(row, "pace_percent"),
                number(row, "pitch_semitones"),
                whole(row, "range_percent"),
                number(row, "loudness_db"),
                whole(row, "pause_after_millis"),
                Effect.named(row.getString("effect")),
                whole(row, "effect_percent"),
                row.getString("style"),
                whole(row, "style_percent"),
                whole(row, "phrasing_percent"));
    }

    /** The values of {@link #NAMES}, from a place on. */
    static void set(PreparedStatement statement, int first, Direction direction) throws SQLException {
        List<Object> values = Arrays.asList(
                direction.pacePercent(),
                direction.pitchSemitones(),
                direction.rangePercent(),
                direction.loudnessDb(),
                direction.pauseAfterMillis(),
                direction.effect() == null ? null : direction.effect().id(),
                direction.effectPercent(),
                direction.style(),
                direction.stylePercent(),
                direction.phrasingPercent());
        for (int i = 0; i < values.size(); i++) {
            statement.setObject(first + i, values.get(i));
        }
    }

    static Map<String, Object> parameters(Direction direction) {
        Map<String, Object> values = new HashMap<>();
        values.put("pace", direction.pacePercent());
        values.put("pitch", direction.pitchSemitones());
        values.put("range", direction.rangePercent());
        values.put(
                "effect", direction.effect() == null ? null : direction.effect().id());
        values.put("mix", direction.effectPercent());
        values.put("style", direction.style());
        values.put("strength", direction.stylePercent());
        values.put("phrasing", direction.phrasingPercent());
        values.put("loudness", direction.loudnessDb());
        values.put("pause", direction.pauseAfterMillis());
        return values;
    }
}
