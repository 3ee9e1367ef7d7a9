package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.References;
import org.logophon.core.voice.align.WordMatch;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.render.Phone;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.PhonemeStart;
import org.logophon.core.voice.render.Utterance.WordStart;
import org.logophon.core.voice.render.WordTime;
import org.logophon.core.voice.render.WordTimes;

/**
 * The aligner of recordings with their words: voices that tell when they say what say the same, and what they have in
 * common is laid beside the recording.
 */
public final class RecordingAligner {

    private final SpeechEngine telling;
    private final Function<String, List<Voice>> voices;

    /**
     * @param telling speaks the references
     * @param voices  of a language: some that tell word times and are unlike one another; none where nobody speaks it
     */
    public RecordingAligner(SpeechEngine telling, Function<String, List<Voice>> voices) {
        this.telling = telling;
        this.voices = voices;
    }

    /**
     * @param sound    one recording of the text, some minutes at most
     * @param spoken   the text as it is said
     * @param language BCP 47
     * @return without a voice of the language the words share the time by their lengths, every one of them in doubt
     */
    public HeldRecording hold(Sound sound, String text, SpokenText spoken, String language) {
        List<Utterance> references = References.of(telling, voices.apply(language), spoken, 1);
        Activity activity = Activity.of(sound);
        WordMatch match =
                references.isEmpty() ? new WordMatch(List.of(), List.of(), List.of()) : WordMatch.of(references, sound);
        List<WordStart> starts = match.words().stream()
                .map(fit -> new WordStart(fit.place(), fit.sample()))
                .toList();
        List<WordTime> words =
                WordTimes.of(text, language, spoken, new Utterance(sound, starts, pauses(activity, sound)));
        return new HeldRecording(
                words,
                doubts(words, match, spoken),
                phones(text, language, spoken, references),
                findings(sound, text, spoken, language, references, activity, match, words));
    }

    /** A word ends at the pause after it. */
    private static List<PhonemeStart> pauses(Activity activity, Sound sound) {
        List<PhonemeStart> pauses = new ArrayList<>();
        for (Activity.Span pause : activity.pauses()) {
            pauses.add(new PhonemeStart(pause.from(), true));
            pauses.add(new PhonemeStart(pause.to(), false));
        }
        pauses.add(new PhonemeStart(activity.speech(0, sound.samples().length).to(), true));
        return pauses;
    }

    private static List<Double> doubts(List<WordTime> words, WordMatch match, SpokenText spoken) {
        List<Double> doubts = new ArrayList<>();
        for (WordTime word : words) {
            double doubt = match.words().stream()
                    .filter(fit -> within(word, spoken.writtenAt(fit.place())))
                    .mapToDouble(WordMatch.Fit::doubt)
                    .max()
                    .orElse(1);
            boolean unsaid = match.unsaid().stream()
                    .anyMatch(gone ->
                            spoken.writtenAt(gone.from()) < word.end() && spoken.writtenAt(gone.to()) >= word.start());
            doubts.add(unsaid ? 1 : doubt);
        }
        return doubts;
    }

    private static boolean within(WordTime word, int written) {
        return written >= word.start() && written < word.end();
    }

    private static List<Phone> phones(String text, String language, SpokenText spoken, List<Utterance> references) {
        return references.stream()
                .map(said -> Phone.of(WordTimes.of(text, language, spoken, said), said))
                .filter(phones -> !phones.isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    private static List<TakeFinding> findings(
            Sound sound,
            String text,
            SpokenText spoken,
            String language,
            List<Utterance> references,
            Activity activity,
            WordMatch match,
            List<WordTime> words) {
        ScriptFindings found = new ScriptFindings(text, words, sound.rate());
        match.unsaid().forEach(gone -> found.unsaid(spoken.writtenAt(gone.from()), spoken.writtenAt(gone.to())));
        match.strange()
                .forEach(more -> found.strange(
                        more.before() < 0 ? text.length() : spoken.writtenAt(more.before()),
                        more.from(),
                        more.to(),
                        more.repeated()));
        found.stumbles(
                references.stream()
                        .map(said -> WordTimes.of(text, language, spoken, said))
                        .toList(),
                references.stream().map(said -> said.sound().rate()).toList());
        found.hesitations();
        found.breaths(sound, activity);
        return found.all().stream()
                .sorted(Comparator.comparingDouble(TakeFinding::fromSeconds))
                .toList();
    }
}
