package org.logophon.app.steps.record;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.figures.VoiceFigures;
import org.logophon.core.voice.recording.Likeness;
import org.logophon.core.voice.render.Narrator;
import org.springframework.stereotype.Service;

/** Finds voices that measure like a person who has recorded cues of a role. */
@Service
class Likenesses {

    private static final int MOST_VOICES = 14;
    private static final double BETWEEN_SECONDS = 0.3;

    private final Projects projects;
    private final TakeRepository takes;
    private final RecordingRepository recordings;
    private final AudioStore audio;
    private final VoiceCatalogue voices;
    private final Narrator narrator;

    Likenesses(
            Projects projects,
            TakeRepository takes,
            RecordingRepository recordings,
            AudioStore audio,
            VoiceCatalogue voices,
            Narrator narrator) {
        this.projects = projects;
        this.takes = takes;
        this.recordings = recordings;
        this.audio = audio;
        this.voices = voices;
        this.narrator = narrator;
    }

    /** @param seconds of speech that was measured @param person in words */
    record Found(double seconds, String person, List<Candidate> candidates) {}

    /**
     * @param own what it measures by itself
     * @param tuned as it is tuned
     * @param left what is left between it and the person
     */
    record Candidate(
            String base,
            String name,
            String own,
            String tuned,
            List<String> left,
            int pace,
            double semitones,
            int range,
            double timbre,
            List<String> flags) {}

    /** @throws Refused with a sentence when there is too little to measure */
    Found of(UUID project, String role) {
        ProjectView view = projects.view(project);
        List<Sound> sounds = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        double seconds = 0;
        String language = view.project().language();
        for (CueView cue : view.cues()) {
            if (!cue.cue().role().equalsIgnoreCase(role) || seconds > Likeness.MOST_SECONDS - 5) {
                continue;
            }
            Take said = recording(cue);
            if (said != null && seconds + said.sound().seconds() <= Likeness.MOST_SECONDS) {
                sounds.add(audio.source(said.sound()).inMemory());
                texts.add(said.text());
                seconds += said.sound().seconds();
            }
        }
        if (seconds < Likeness.FEWEST_SECONDS) {
            throw new Refused(String.format(
                    Locale.ROOT,
                    "A voice is measured on 10 s of speech and more, and of %s there are %.0f s. Record more cues.",
                    role,
                    seconds));
        }
        Likeness likeness = Likeness.of(joined(sounds), String.join(" ", texts), candidates(language), narrator);
        return new Found(
                seconds,
                words(likeness.person()),
                likeness.nearest().stream().map(Likenesses::candidate).toList());
    }

    /** The kept take when it is a recording, else the newest one. */
    private Take recording(CueView cue) {
        return takes.of(cue.id()).stream()
                .filter(take -> recordings.find(take.speech()).isPresent())
                .min(Comparator.comparing((Take take) -> !take.id().equals(cue.keptTake()))
                        .thenComparing(take -> -take.ordinal()))
                .orElse(null);
    }

    private static Sound joined(List<Sound> sounds) {
        int rate = sounds.get(0).rate();
        int between = (int) (BETWEEN_SECONDS * rate);
        int length = sounds.stream()
                .mapToInt(sound -> sound.samples().length + between)
                .sum();
        float[] all = new float[length];
        int at = 0;
        for (Sound sound : sounds) {
            System.arraycopy(sound.samples(), 0, all, at, sound.samples().length);
            at += sound.samples().length + between;
        }
        return new Sound(all, rate);
    }

    /** What sounds most like a person comes first; made voices are only other tunings of these. */
    private List<Voice> candidates(String language) {
        String tongue = language.split("-")[0];
        return voices.all().stream()
                .filter(voice -> voice.language().split("-")[0].equalsIgnoreCase(tongue)
                        && voice.terms().free()
                        && !voice.whispers()
                        && !voice.ofTheHouse()
                        && voice.id().equals(voice.baseId()))
                .sorted(Comparator.comparing((Voice voice) -> voice.making() == Making.FORMANT
                                && !voice.language().equalsIgnoreCase(language))
                        .thenComparing(Voice::making)
                        .thenComparing(Voice::id))
                .limit(MOST_VOICES)
                .toList();
    }

    private static Candidate candidate(Likeness.Near near) {
        Tuning tuning = near.tuning();
        return new Candidate(
                near.voice().id(),
                near.voice().name() + ", " + near.voice().speaks(),
                words(near.own()),
                words(near.tuned()),
                near.left(),
                tuning.pacePercent(),
                tuning.semitones(),
                tuning.rangePercent(),
                tuning.timbreSemitones(),
                tuning.unnatural());
    }

    private static String words(VoiceFigures figures) {
        return String.format(
                Locale.ROOT,
                "%.0f Hz, %.1f st of range, %.0f words a minute, %.0f Hz bright",
                figures.medianPitchHz() == null ? 0 : figures.medianPitchHz(),
                figures.pitchRangeSemitones() == null ? 0 : figures.pitchRangeSemitones(),
                figures.wordsPerMinute(),
                figures.brightnessHz());
    }
}
