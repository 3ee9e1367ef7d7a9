package org.logophon.app.steps.transfer;

import java.util.Map;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.text.script.Script;

/** What a column can hold by its type and its name, whatever its table does with it. */
final class ColumnRules {

    /** Names and other short texts, where nothing else is said. */
    private static final int SHORT_TEXT = 200;
    /** What hangs on a cue's words, its marks and its word times. */
    private static final int LONG_TEXT = 2 * Script.MOST_CHARACTERS;

    private static final int ID_TEXT = 120;
    private static final int ROLE = 60;

    /** Longer or shorter than {@link #SHORT_TEXT}: {@code table.column}, or a column of that name in any table. */
    private static final Map<String, Integer> LENGTHS = Map.ofEntries(
            Map.entry("project.script", Script.MOST_CHARACTERS),
            Map.entry("cue.text", Script.MOST_CHARACTERS),
            Map.entry("cue.number", 40),
            Map.entry("scene", 2_000),
            Map.entry("role", ROLE),
            Map.entry("role.name", ROLE),
            Map.entry("on_text", Script.MOST_CHARACTERS),
            Map.entry("caption_correction.spoken", Script.MOST_CHARACTERS),
            Map.entry("caption_correction.shown", Script.MOST_CHARACTERS),
            Map.entry("heard_draft.text", Script.MOST_CHARACTERS),
            Map.entry("remark", 2_000),
            Map.entry("mark.value", 400),
            Map.entry("mark.reason", 400),
            Map.entry("dismissed.written", Script.MOST_CHARACTERS),
            Map.entry("happening.before", Script.MOST_CHARACTERS),
            Map.entry("happening.after", Script.MOST_CHARACTERS),
            Map.entry("sound_file.name", Instruction.OwnSound.LONGEST_NAME),
            Map.entry("house_voice.description", 300),
            Map.entry("base_voice", ID_TEXT),
            Map.entry("voice_id", 300),
            Map.entry("speech.phones", LONG_TEXT),
            Map.entry("delivery.problem", 1_000),
            Map.entry("delivery_file.path", 1_000),
            Map.entry("delivery_file.why", 1_000),
            Map.entry("delivery_file.said", Script.MOST_CHARACTERS),
            Map.entry("delivery_file.content", Script.MOST_CHARACTERS),
            Map.entry("delivery_file.made_of", 1_000));

    /** Columns of whole numbers that reach beyond what is counted: chances, and places on a timeline. */
    private static final Map<String, Long> MOST = Map.of("seed", Long.MAX_VALUE);

    private static final long MOST_COUNTED = 1L << 40;
    /** Beyond every measure that there is: decibels, hertz, semitones, seconds. */
    private static final double MOST_MEASURED = 1e7;

    private ColumnRules() {}

    /**
     * @throws org.logophon.app.platform.failure.Refused when the row's column, which isn't null, holds anything else
     */
    static void check(String table, String column, String type, ImportedRow row) {
        switch (type) {
            case "text" -> row.checkText(column, longest(table, column));
            case "integer", "smallint" -> row.checkWhole(column, Integer.MIN_VALUE, Integer.MAX_VALUE);
            case "bigint" -> {
                long most = MOST.getOrDefault(column, MOST_COUNTED);
                row.checkWhole(column, -most, most);
            }
            case "double precision", "real", "numeric" -> row.checkFinite(column, MOST_MEASURED);
            case "boolean" -> row.checkFlag(column);
            case "timestamp with time zone" -> row.checkTime(column);
            case "uuid" -> row.checkId(column);
            case "ARRAY" -> row.checkList(column, 4 * LONG_TEXT);
            case "jsonb" -> row.checkSize(column, LONG_TEXT);
            case "bytea" -> row.checkText(column, LONG_TEXT);
            default -> throw new IllegalStateException(table + "." + column + " is of the type " + type);
        }
    }

    private static int longest(String table, String column) {
        return LENGTHS.getOrDefault(table + "." + column, LENGTHS.getOrDefault(column, SHORT_TEXT));
    }
}
