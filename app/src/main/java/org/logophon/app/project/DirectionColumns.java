package org.logophon.app.project;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import org.logophon.direction.Direction;
import org.logophon.effect.Effect;

/** The direction columns that projects, roles and cues have. */
final class DirectionColumns {

    static final String SET = """
            pace_percent = :pace, pitch_semitones = :pitch, range_percent = :range, loudness_db = :loudness, pause_after_millis = :pause,
            effect = :effect, effect_percent = :mix""";
    static final String NAMES = "pace_percent, pitch_semitones, range_percent, loudness_db, pause_after_millis, effect, effect_percent";

    private DirectionColumns() {
    }

    static Direction read(ResultSet row) throws SQLException {
        return new Direction(row.getObject("pace_percent", Integer.class), row.getObject("pitch_semitones", Double.class),
                row.getObject("range_percent", Integer.class), row.getObject("loudness_db", Double.class), row.getObject("pause_after_millis", Integer.class),
                Effect.named(row.getString("effect")), row.getObject("effect_percent", Integer.class));
    }

    static Map<String, Object> parameters(Direction direction) {
        Map<String, Object> values = new HashMap<>();
        values.put("pace", direction.pacePercent());
        values.put("pitch", direction.pitchSemitones());
        values.put("range", direction.rangePercent());
        values.put("effect", direction.effect() == null ? null : direction.effect().word());
        values.put("mix", direction.effectPercent());
        values.put("loudness", direction.loudnessDb());
        values.put("pause", direction.pauseAfterMillis());
        return values;
    }
}
