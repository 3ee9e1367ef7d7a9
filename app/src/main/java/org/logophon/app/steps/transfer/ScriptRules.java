package org.logophon.app.steps.transfer;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CuePlace;
import org.logophon.app.services.project.ProjectName;
import org.logophon.app.services.project.TakenColumn;
import org.logophon.app.services.project.review.Happening;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.review.NotePlace;
import org.logophon.core.review.proof.FindingKind;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.Slot;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.voice.finish.FinishSettings;

/**
 * What rows of words, direction and places mean, held against what the application allows: the same limits and kinds as
 * by hand. Rows come in the order of {@link ProjectTable#ALL}, so what a row hangs on is known.
 */
final class ScriptRules {

    private static final int LONGEST_PICTURE_MILLIS = 48 * 3_600_000;
    private static final long LONGEST_SAMPLES = 48L * 3_600 * 48_000;
    private static final int DAY_SECONDS = 24 * 3_600;

    /** In capitals: names are the same whatever their case. */
    private final Set<String> roles = new HashSet<>();
    /** Lengths of the cues' texts, by their ids in the file. */
    private final Map<String, Integer> texts = new HashMap<>();

    private final Map<String, Integer> marks = new HashMap<>();

    /** @throws Refused with a sentence that names the row when something in it can't be */
    void check(String table, ImportedRow row) {
        switch (table) {
            case "project" -> project(row);
            case "role" -> role(row);
            case "cue" -> cue(row);
            case "reading" -> {
                if (row.has("language")) {
                    row.checkLanguage("language");
                }
                reading(row, row.text("language"));
            }
            case "place_reading" -> placeReading(row);
            case "mark" -> mark(row);
            case "dismissed" -> row.made("finding", () -> FindingKind.valueOf(row.kind("kind")));
            case "scene_gap" -> row.checkWhole("millis", 0, Dial.PAUSE.most());
            case "picture_slot" -> slot(row, "in_millis", "out_millis");
            case "glossary_term" -> row.checkLanguage("language");
            case "note" -> note(row);
            case "happening" -> row.made("happening", () -> Happening.valueOf(row.kind("what")));
            default -> {
                // its columns say all of it
            }
        }
    }

    private static void project(ImportedRow row) {
        row.columns().put("name", row.made("name", () -> ProjectName.checked(row.text("name"))));
        row.checkLanguage("language");
        direction(row);
        row.made("splitting", () -> Splitting.parse(row.text("splitting")));
        row.made(
                "numbering",
                () -> new CueNumbers(
                        row.integer("number_start"),
                        row.integer("number_step"),
                        row.integer("number_width"),
                        row.text("number_prefix")));
        row.made("loudness", () -> FinishSettings.to(row.decimal("target_lufs")));
        row.made("name pattern", () -> new FileNames(row.text("name_pattern")));
        if (row.has("frame_rate")) {
            row.made("frame rate", () -> FrameRate.named(row.text("frame_rate")));
        }
        row.checkWithin("start_frame", 0, DAY_SECONDS * 60L);
        row.checkWithin("least_gap_millis", 0, Dial.PAUSE.most());
        row.checkWithin("target_seconds", 1, DAY_SECONDS);
        row.checkPlaces("cuts");
    }

    private void role(ImportedRow row) {
        row.checkName("name");
        roles.add(row.kind("name"));
        direction(row);
        row.made("role", () -> {
            Dial.LIVELINESS.check(row.integer("lively_percent"));
            return new PauseDefaults(
                    row.integer("comma_millis"), row.integer("stop_millis"), row.integer("least_gap_millis"));
        });
        if (row.has("cleaning")) {
            row.made("cleaning", () -> RecordingRepository.cleaning(row.json("cleaning")));
        }
    }

    private void cue(ImportedRow row) {
        if (!roles.contains(row.kind("role"))) {
            throw row.refused("its role isn't in rows/role.jsonl");
        }
        row.checkName("number");
        direction(row);
        row.checkWithin("words", 0, Integer.MAX_VALUE);
        row.checkWithin("syllables", 0, Integer.MAX_VALUE);
        row.checkWithin("position", 0, Integer.MAX_VALUE);
        slot(row, "slot_in_millis", "slot_out_millis");
        row.checkWithin("offset_samples", -LONGEST_SAMPLES, LONGEST_SAMPLES);
        row.checkWithin("fixed_samples", 0, LONGEST_SAMPLES);
        row.made(
                "placement",
                () -> new CuePlace(
                        row.has("placement") ? CuePlace.Kind.valueOf(row.kind("placement")) : null,
                        row.has("anchor") ? Anchor.valueOf(row.kind("anchor")) : Anchor.START,
                        0,
                        null));
        if (row.has("taken")) {
            row.made("direction of a take", () -> TakenColumn.read(row.json("taken")));
        }
        texts.put(row.text("id"), row.text("text").length());
    }

    private static void reading(ImportedRow row, String language) {
        row.made(
                "reading",
                () -> new Reading(
                        row.text("written"),
                        row.text("said"),
                        PronunciationKind.of(row.text("said_as")),
                        language,
                        true));
    }

    private void placeReading(ImportedRow row) {
        reading(row, null);
        row.checkWhole("start_index", 0, texts.getOrDefault(row.text("cue_id"), 0));
    }

    private void mark(ImportedRow row) {
        row.made("mark", () -> {
            Instruction.of(row.text("kind"), row.text("value"));
            Mark.Origin.valueOf(row.text("origin"));
            return row;
        });
        int length = texts.getOrDefault(row.text("cue_id"), 0);
        row.checkWhole("end_index", 1, length);
        row.checkWhole("start_index", 0, row.integer("end_index") - 1L);
        if (marks.merge(row.text("cue_id"), 1, Integer::sum) > Marks.MOST) {
            throw row.refused("a cue has at most %,d marks".formatted(Marks.MOST));
        }
    }

    private static void direction(ImportedRow row) {
        row.made(
                "direction",
                () -> new Direction(
                        row.integer("pace_percent"),
                        row.decimal("pitch_semitones"),
                        row.integer("range_percent"),
                        row.decimal("loudness_db"),
                        row.integer("pause_after_millis"),
                        Effect.named(row.text("effect")),
                        row.integer("effect_percent"),
                        row.text("style"),
                        row.integer("style_percent"),
                        row.integer("phrasing_percent")));
    }

    private static void slot(ImportedRow row, String in, String out) {
        if (row.has(in) || row.has(out)) {
            row.made("slot", () -> new Slot(row.integer(in), row.integer(out)));
            row.checkWhole(out, 1, LONGEST_PICTURE_MILLIS);
        }
    }

    private static void note(ImportedRow row) {
        row.made(
                "place in its text",
                () -> new NotePlace(row.text("on_text"), row.integer("start_index"), row.integer("end_index")));
        if (row.text("remark").isBlank() || row.text("remark").length() > Note.LONGEST) {
            throw row.refused("a note has 1 to %,d characters".formatted(Note.LONGEST));
        }
    }
}
