package org.logophon.app.steps.direct;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.logophon.app.services.page.Durations;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.core.direction.Comfort;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.take.TakeOrigin;

/**
 * The chosen cue as the Direct page shows it.
 *
 * @param kept    the kept take; null when there is none
 * @param asked   what was asked for beside what was measured, for the kept take
 * @param notes   what the kept take could not reach
 * @param sound   address of the kept take; null when there is none
 */
record DirectPageModel(
        CueView cue,
        Take kept,
        List<TakeLine> takes,
        List<AskedLine> asked,
        List<String> notes,
        UUID previous,
        UUID next,
        String sound) {

    /** What its dials ask beyond what a voice does well, as a sentence; null for nothing. */
    public String warning() {
        return Comfort.warning(cue.direction()).orElse(null);
    }

    /** What became of the cue, as the programme tells it to pages. */
    public String became() {
        return cue.state().id() + " " + sound + " " + cue.status().takes();
    }

    /** What is asked for, the same way. */
    public String askedFor() {
        return ProgrammeReader.asked(cue);
    }

    /** @param about what tells it from the others */
    record TakeLine(UUID id, String name, String about, String length, boolean kept, boolean current) {}

    /** @param met true when the promise holds */
    record AskedLine(String what, String asked, String measured, boolean met) {}

    static List<AskedLine> asked(
            Project project, CueView cue, Take take, StoredSpeech speech, double lufs, double truePeakDbtp) {
        double wanted = project.targetLufs() == null
                ? Double.NaN
                : project.targetLufs() + cue.direction().loudnessDb();
        List<AskedLine> lines = new ArrayList<>();
        Measurement measured = speech.measurement();
        if (measured != null) {
            double pace = take.origin().paceFactor();
            double pitch = take.origin().semitones();
            lines.add(new AskedLine(
                    "pace",
                    "%.0f %%".formatted(pace * 100),
                    "%.1f %%".formatted(measured.pacePercent()),
                    measured.keepsPace(pace)));
            lines.add(new AskedLine(
                    "pitch",
                    signed(pitch, "st"),
                    measured.semitones() == null ? "whispered" : signed(measured.semitones(), "st"),
                    measured.keepsPitch(pitch)));
        }
        lines.add(new AskedLine(
                "loudness",
                Double.isNaN(wanted) ? "as rendered" : plain(wanted, "LUFS"),
                plain(lufs, "LUFS"),
                Double.isNaN(wanted) || Math.abs(lufs - wanted) <= FinishSettings.LOUDNESS_PROMISE_LU));
        lines.add(new AskedLine(
                "true peak",
                "−1.0 dBTP at most",
                plain(truePeakDbtp, "dBTP"),
                FinishSettings.keepsCeiling(truePeakDbtp)));
        lines.add(new AskedLine(
                "pause after", "%.2f s".formatted(cue.direction().pauseMillis() / 1000.0), "exact", true));
        return lines;
    }

    static List<String> notes(CueView cue, Take take, StoredSpeech speech) {
        if (cue.voice() == null || speech.measurement() == null) {
            return List.of();
        }
        return speech.measurement()
                .misses(take.origin().paceFactor(), take.origin().semitones(), cue.voice());
    }

    static TakeLine line(Take take, CueView cue, String voice) {
        TakeOrigin origin = take.origin();
        String about = voice
                + (Math.abs(origin.paceFactor() - 1) < 1e-6
                        ? ""
                        : ", pace %.0f %%".formatted(origin.paceFactor() * 100))
                + (Math.abs(origin.semitones()) < 1e-6 ? "" : ", pitch " + signed(origin.semitones(), "st"))
                + (origin.treatment().isEmpty() ? "" : ", " + origin.treatment())
                + (take.text().equals(cue.cue().text()) ? "" : ", other words");
        return new TakeLine(
                take.id(),
                take.name(),
                about,
                Durations.brief(take.sound().seconds()),
                take.id().equals(cue.keptTake()),
                cue.recipeHash() != null && cue.recipeHash().equals(take.recipe()));
    }

    private static String plain(double value, String unit) {
        return String.format(Locale.ROOT, "%.1f %s", value, unit).replace('-', '−');
    }

    private static String signed(double value, String unit) {
        return String.format(Locale.ROOT, "%+.1f %s", value, unit)
                .replace('-', '−')
                .replace("+0.0", "0.0")
                .replace("−0.0", "0.0");
    }
}
