package org.logophon.app.steps.transfer;

import java.util.HexFormat;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.Choice;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.app.services.project.take.TakeEvent;
import org.logophon.app.services.project.take.TakeSource;
import org.logophon.app.services.project.take.TakeWords;
import org.logophon.app.services.voices.HouseVoice;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.time.bed.Bed;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.take.TakeOriginJson;

/**
 * What rows of voices, sounds, takes and deliveries mean, held against what the application allows: see {@link
 * ScriptRules}.
 */
final class SoundRules {

    private static final int DAY_SECONDS = 24 * 3_600;
    private static final int WORD_FIELDS = 4;
    private static final int LONGEST_ASPECT = 200;
    /** Of a sound of one's own. */
    private static final int MOST_OWN_DB = 24;

    private SoundRules() {}

    /** @throws Refused with a sentence that names the row when something in it can't be */
    static void check(String table, ImportedRow row) {
        switch (table) {
            case "house_voice" -> voice(row);
            case "speech" -> speech(row);
            case "recording" -> recording(row);
            case "check_dismissed" -> row.made("finding", () -> TakeFinding.Kind.valueOf(row.kind("kind")));
            case "take" -> take(row);
            case "take_event" -> row.made("event of a take", () -> TakeEvent.What.valueOf(row.kind("what")));
            case "sound_file" -> soundFile(row);
            case "bed" -> bed(row);
            case "delivery_choice" -> row.made("choice of parts", () -> Choice.read(row.json("choice")));
            case "delivery" -> delivery(row);
            case "delivered_cue" -> heard(row);
            default -> {
                // its columns say all of it
            }
        }
    }

    private static void speech(ImportedRow row) {
        row.checkWithin("syllables", 0, Integer.MAX_VALUE);
        row.checkWithin("reference_seconds", 0, DAY_SECONDS);
        row.checkPlaces("words");
        if (row.has("words") && row.columns().get("words").size() % WORD_FIELDS != 0) {
            throw row.refused("words is no list of words and their times");
        }
        row.checkNumbers("pitch");
        row.checkNumbers("marks_reached");
        row.made("sound", () -> HexFormat.of().parseHex(row.text("peaks").substring(2)));
    }

    private static void recording(ImportedRow row) {
        row.checkNumbers("doubts");
        row.made("recording", () -> {
            RecordingRepository.findings(row.json("findings"));
            RecordingRepository.figures(row.json("figures"));
            return row.has("cleaning") ? RecordingRepository.cleaning(row.json("cleaning")) : null;
        });
    }

    private static void take(ImportedRow row) {
        row.checkWithin("ordinal", 1, Integer.MAX_VALUE);
        row.made("take", () -> {
            TakeSource.of(row.text("source"));
            TakeOriginJson.read(row.json("origin"));
            StringBuilder labels = new StringBuilder();
            row.columns()
                    .path("labels")
                    .forEach(label -> labels.append(label.asString()).append(','));
            return TakeWords.typed(
                    row.has("name") ? row.text("name") : "",
                    false,
                    row.has("remark") ? row.text("remark") : "",
                    labels.toString());
        });
    }

    private static void soundFile(ImportedRow row) {
        row.made("sound", () -> new Instruction.OwnSound(0, 0, row.text("name")));
        if (row.has("own_db") && Math.abs(row.decimal("own_db")) > MOST_OWN_DB) {
            throw row.refused("own_db is outside of what a sound can be louder or quieter");
        }
    }

    private static void bed(ImportedRow row) {
        row.made(
                "bed",
                () -> new Bed.Settings(
                        true,
                        row.integer("fade_in_millis"),
                        row.integer("fade_out_millis"),
                        row.decimal("level_db"),
                        row.decimal("rise_db")));
    }

    private static void delivery(ImportedRow row) {
        row.checkWithin("ordinal", 1, Integer.MAX_VALUE);
        row.checkWithin("bytes", 0, Long.MAX_VALUE);
        row.made("loudness", () -> FinishSettings.to(row.decimal("target_lufs")));
        row.made("name pattern", () -> new FileNames(row.text("name_pattern")));
        if (row.has("choice")) {
            row.made("choice of parts", () -> Choice.read(row.json("choice")));
        }
    }

    private static void voice(ImportedRow row) {
        row.checkName("name");
        if (row.text("name").length() > HouseVoice.LONGEST_NAME) {
            throw row.refused("a house voice has a name of 1 to %d characters".formatted(HouseVoice.LONGEST_NAME));
        }
        row.made(
                "voice",
                () -> new Tuning(
                        row.integer("pace_percent"),
                        row.decimal("pitch_semitones"),
                        row.integer("range_percent"),
                        row.decimal("timbre_semitones"),
                        Effect.named(row.text("effect")),
                        row.integer("effect_percent")));
    }

    private static void heard(ImportedRow row) {
        row.columns().get("heard").forEach(aspect -> {
            if (!aspect.isString() || aspect.asString().length() > LONGEST_ASPECT) {
                throw row.refused("heard is no state in which a cue is heard");
            }
        });
    }
}
