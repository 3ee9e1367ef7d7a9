package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * Carries word starts over from voices that tell them to a sound of the same words. Each voice carries by itself, and
 * the median of what they come to holds: where one of them is led astray, the others aren't.
 */
public final class WordAligner {

    /** A step so far under the loudest is a pause. */
    private static final double PAUSE_DB = -38;
    /** Shorter is the closed mouth of a consonant. */
    private static final int PAUSE_STEPS = 6;
    /** A pause that begins so soon after a word's start is the one before it: windows reach over its edge. */
    private static final int EDGE_STEPS = 3;

    private static final double BEFORE_PAUSE_SECONDS = 0.03;
    private static final double AFTER_PAUSE_SECONDS = 0.08;

    private WordAligner() {}

    /**
     * @param references of the same text, at least one that tells word starts
     * @return in the order of the text, never falling, in samples of {@code sound}
     */
    public static List<WordStart> starts(List<Utterance> references, Sound sound) {
        SpeechSpan span = SpeechSpan.of(sound);
        Sound speech = sound.cut(span.from(), span.to());
        double highest = MelCepstra.highestHertz(
                Stream.concat(Stream.of(sound), references.stream().map(Utterance::sound))
                        .mapToInt(Sound::rate)
                        .min()
                        .orElseThrow());
        MelCepstra asked = MelCepstra.of(speech, highest);
        List<MelCepstra> known = references.stream()
                .map(reference -> {
                    SpeechSpan own = SpeechSpan.of(reference.sound());
                    return MelCepstra.of(reference.sound().cut(own.from(), own.to()), highest);
                })
                .toList();
        return starts(references, known, sound, span, asked);
    }

    /** @param known steps of each reference's speech @param asked of the sound's, which is at {@code span} */
    static List<WordStart> starts(
            List<Utterance> references, List<MelCepstra> known, Sound sound, SpeechSpan span, MelCepstra asked) {
        Map<Integer, List<Integer>> told = new TreeMap<>();
        for (int i = 0; i < references.size(); i++) {
            for (WordStart start : carried(references.get(i), known.get(i), asked, sound.rate())) {
                told.computeIfAbsent(start.codePoint(), at -> new ArrayList<>()).add(start.sample());
            }
        }
        int[] places = new int[told.size()];
        int latest = 0;
        int count = 0;
        for (List<Integer> carried : told.values()) {
            latest = Math.max(latest, median(carried));
            places[count++] = span.from() + latest;
        }
        toEndsOfPauses(places, sound);
        List<WordStart> starts = new ArrayList<>();
        for (int codePoint : told.keySet()) {
            starts.add(new WordStart(codePoint, places[starts.size()]));
        }
        return List.copyOf(starts);
    }

    /** What begins near a pause begins with its end, to the sample: rests and captions start there. */
    private static void toEndsOfPauses(int[] starts, Sound sound) {
        int before = (int) (BEFORE_PAUSE_SECONDS * sound.rate());
        int after = (int) (AFTER_PAUSE_SECONDS * sound.rate());
        int word = 0;
        for (SpeechSpan pause : SpeechSpan.pauses(sound)) {
            while (word < starts.length && starts[word] < pause.from() - before) {
                word++;
            }
            if (word < starts.length && starts[word] <= pause.to() + after) {
                starts[word++] = pause.to();
            }
            for (int later = word; later < starts.length && starts[later] < pause.to(); later++) {
                starts[later] = pause.to();
            }
        }
    }

    private static int median(List<Integer> values) {
        List<Integer> sorted = values.stream().sorted().toList();
        int middle = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
    }

    private static List<WordStart> carried(Utterance reference, MelCepstra known, MelCepstra asked, int rate) {
        Sound voice = reference.sound();
        SpeechSpan span = SpeechSpan.of(voice);
        int[] path = Warp.path(known.frames(), asked.frames());
        List<WordStart> starts = new ArrayList<>();
        for (WordStart word : reference.words()) {
            double step = (word.sample() - span.from()) / (known.stepSeconds() * voice.rate());
            int at = (int) Math.max(0, Math.min(known.frames().length - 1, Math.floor(step)));
            double within = Math.max(0, Math.min(1, step - at));
            double there = path[at] + within * Math.max(0, path[at + 1] - path[at]);
            double start = pastQuiet(asked.levels(), there, Math.max(path[at + 1], there + EDGE_STEPS));
            starts.add(new WordStart(word.codePoint(), (int) Math.round(start * asked.stepSeconds() * rate)));
        }
        return starts;
    }

    /** A word doesn't start in a pause, nor before one that begins at once, but after it. */
    private static double pastQuiet(float[] levels, double from, double to) {
        double start = from;
        for (int at = (int) from; at < levels.length && at <= to; at++) {
            int began = at;
            while (at < levels.length && levels[at] <= PAUSE_DB) {
                at++;
            }
            boolean pause = at - began >= PAUSE_STEPS || began == (int) from && at > began;
            start = pause && at < levels.length ? at : start;
        }
        return start;
    }
}
