package org.logophon.app.direct;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.logophon.app.page.Durations;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Project;
import org.logophon.app.rendering.StoredSpeech;
import org.logophon.app.rendering.Take;

/**
 * The chosen cue as the Direct page shows it.
 *
 * @param kept    the kept take; null when there is none
 * @param asked   what was asked for beside what was measured, for the kept take
 * @param notes   what the kept take could not reach
 */
record Stage(
        CueView cue,
        Take kept,
        List<TakeLine> takes,
        List<AskedLine> asked,
        List<String> notes,
        UUID previous,
        UUID next) {

    /** @param about what tells it from the others */
    record TakeLine(UUID id, String name, String about, String length, boolean kept, boolean current) {}

    /** @param met true when the promise holds */
    record AskedLine(String what, String asked, String measured, boolean met) {}

    static List<AskedLine> asked(
            Project project, CueView cue, Take take, StoredSpeech speech, double lufs, double truePeakDbtp) {
        double wanted = project.targetLufs() == null
                ? Double.NaN
                : project.targetLufs() + cue.direction().loudnessDb();
        Double semitones = speech.measurement().semitones();
        return List.of(
                new AskedLine(
                        "pace",
                        "%.0f %%".formatted(take.paceFactor() * 100),
                        "%.1f %%".formatted(speech.measurement().pacePercent()),
                        Math.abs(speech.measurement().pacePercent() / 100 / take.paceFactor() - 1) <= 0.03),
                new AskedLine(
                        "pitch",
                        signed(take.semitones(), "st"),
                        semitones == null ? "whispered" : signed(semitones, "st"),
                        semitones == null || Math.abs(semitones - take.semitones()) <= 0.5),
                new AskedLine(
                        "loudness",
                        Double.isNaN(wanted) ? "as rendered" : plain(wanted, "LUFS"),
                        plain(lufs, "LUFS"),
                        Double.isNaN(wanted) || Math.abs(lufs - wanted) <= 0.5),
                new AskedLine("true peak", "−1.0 dBTP at most", plain(truePeakDbtp, "dBTP"), truePeakDbtp <= -0.99),
                new AskedLine(
                        "pause after", "%.2f s".formatted(cue.direction().pauseMillis() / 1000.0), "exact", true));
    }

    static List<String> notes(CueView cue, Take take, StoredSpeech speech) {
        if (cue.voice() == null) {
            return List.of();
        }
        return speech.measurement().misses(take.paceFactor(), take.semitones(), cue.voice());
    }

    static TakeLine line(Take take, CueView cue, String voice) {
        String about = voice
                + (Math.abs(take.paceFactor() - 1) < 1e-6 ? "" : ", pace %.0f %%".formatted(take.paceFactor() * 100))
                + (Math.abs(take.semitones()) < 1e-6 ? "" : ", pitch " + signed(take.semitones(), "st"))
                + (take.treatment().isEmpty() ? "" : ", " + take.treatment())
                + (take.text().equals(cue.cue().text()) ? "" : ", other words");
        return new TakeLine(
                take.id(),
                take.name(),
                about,
                Durations.brief(take.seconds()),
                take.id().equals(cue.cue().keptTake()),
                cue.recipe() != null && take.recipe().equals(cue.recipe().hash()));
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
