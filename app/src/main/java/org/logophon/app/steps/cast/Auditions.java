package org.logophon.app.steps.cast;

import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.rendering.AuditionAudio;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Service;

/** The sample lines of voices, with the role's direction. What was made once is kept. */
@Service
class Auditions {

    private static final int MOST_OFFERED = 100;

    private final Projects projects;
    private final ReadingRepository readings;
    private final Narrator narrator;
    private final AuditionAudio lines;

    Auditions(Projects projects, ReadingRepository readings, Narrator narrator, AuditionAudio lines) {
        this.projects = projects;
        this.readings = readings;
        this.narrator = narrator;
        this.lines = lines;
    }

    /**
     * A line as one voice says it.
     *
     * @param starts  seconds at which each written word starts, so that another voice can go on at the same word
     * @param peaks   0–255 for each stroke of a small picture
     * @param pitchHz null for a whisper
     */
    record Audition(
            String voice,
            String name,
            String about,
            String sound,
            double seconds,
            List<Double> starts,
            int[] peaks,
            long wordsPerMinute,
            Long pitchHz) {}

    /** Lines of a role for a page to offer: all, or of very many some from its first on to its last. */
    static List<CueView> offered(ProjectView view, String role) {
        List<CueView> lines = lines(view, role);
        return lines.size() <= MOST_OFFERED
                ? lines
                : IntStream.range(0, MOST_OFFERED)
                        .mapToObj(i -> lines.get((int) ((long) i * (lines.size() - 1) / (MOST_OFFERED - 1))))
                        .toList();
    }

    /** The lines of a role that it can be tried on. */
    private static List<CueView> lines(ProjectView view, String role) {
        return view.cues().stream()
                .filter(cue -> cue.cue().role().equalsIgnoreCase(role)
                        && ScriptCue.problem(cue.cue().text()) == null)
                .toList();
    }

    /**
     * @param cue  whose words are said; null for the typed line
     * @param line typed, or empty for the role's first cue
     * @param agreed characters that may be paid for it
     * @throws Refused with a sentence when there is nothing to say
     * @throws org.logophon.app.platform.failure.PriceFirst when it costs more than was agreed to
     */
    Audition audition(UUID project, Role role, Voice voice, UUID cue, String line, int agreed) {
        ProjectView view = projects.view(project);
        Recipe recipe = recipe(view, role, voice, cue, line.strip().replaceAll("\\s+", " "));
        StoredSpeech speech = lines.say(project, recipe, agreed);
        List<Double> starts = speech.timed().stream()
                .map(word -> word.startSample() / (double) speech.sound().rate())
                .toList();
        double median = voice.whispers() ? 0 : new PitchTrack(speech.pitch()).medianHz();
        return new Audition(
                voice.id(),
                voice.name(),
                voice.speaks(),
                AuditionAudio.address(project, recipe),
                speech.sound().seconds(),
                starts,
                picture(speech.peaks()),
                Math.round(Words.count(recipe.text()) / speech.sound().seconds() * 60),
                median == 0 ? null : Math.round(median));
    }

    private Recipe recipe(ProjectView view, Role role, Voice voice, UUID cue, String line) {
        if (line.length() > FieldLimits.AUDITION_LINE) {
            throw new Refused("A sample line has at most %d characters, and this one has %,d."
                    .formatted(FieldLimits.AUDITION_LINE, line.length()));
        }
        String text = line;
        List<Pronunciation> said;
        if (line.isEmpty()) {
            CueView chosen = lines(view, role.name()).stream()
                    .filter(c -> cue == null || c.id().equals(cue))
                    .findFirst()
                    .orElseThrow(() -> new Refused(role.name() + " has no line for a sample. Type one."));
            text = chosen.cue().text();
            said = readings.of(view.id()).said(chosen.id(), text, voice.language());
        } else {
            if (ScriptCue.problem(line) != null) {
                throw new Refused("Type words for the voices to say.");
            }
            said = readings.of(view.id()).said(text, voice.language());
        }
        return Recipe.of(
                text,
                said,
                voice,
                narrator.engineVersion(voice),
                ResolvedDirection.of(view.project().direction(), role.direction()));
    }

    /** As many strokes as a small picture has room for. */
    private static int[] picture(byte[] peaks) {
        int strokes = 110;
        int[] picture = new int[strokes];
        for (int i = 0; i < strokes && peaks.length > 0; i++) {
            int from = (int) ((long) i * peaks.length / strokes);
            int to = Math.min(peaks.length, Math.max(from + 1, (int) ((long) (i + 1) * peaks.length / strokes)));
            for (int p = from; p < to; p++) {
                picture[i] = Math.max(picture[i], peaks[p] & 0xff);
            }
        }
        return picture;
    }
}
