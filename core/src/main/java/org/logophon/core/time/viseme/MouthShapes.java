package org.logophon.core.time.viseme;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.logophon.core.voice.finish.Clip.TimedWord;
import org.logophon.core.voice.render.Phone;

/**
 * The shapes of a clip, one after another without a gap: together they are as long as it.
 *
 * @param source where its sounds come from
 */
public record MouthShapes(List<MouthShape> shapes, Source source) {

    /** Where the times of sounds come from. */
    public enum Source {
        /** The voice's engine told them. */
        ENGINE,
        /** Only words are known: their letters are spread over them. */
        SPELLING,
        /** No word is timed. */
        NONE
    }

    /** Closer than this, a gap between two sounds is none. */
    private static final double JOINED_SECONDS = 0.012;

    public MouthShapes {
        shapes = List.copyOf(shapes);
    }

    /**
     * @param words  timed in the clip
     * @param phones of the same text; none where only words are known
     * @param length seconds of the clip
     */
    public static MouthShapes of(String text, List<TimedWord> words, List<Phone> phones, double length) {
        if (words.isEmpty()) {
            return new MouthShapes(List.of(new MouthShape(0, length, Viseme.NONE, "")), Source.NONE);
        }
        boolean told = !phones.isEmpty();
        Map<Integer, TimedWord> byPlace = new HashMap<>();
        words.forEach(word -> byPlace.put(word.start(), word));
        List<MouthShape> spoken = new ArrayList<>();
        for (Phone phone : told ? phones : spelled(text, words)) {
            TimedWord word = byPlace.get(phone.word());
            if (word != null) {
                double lasts = word.endSeconds() - word.startSeconds();
                moved(
                        phone.ipa(),
                        word.startSeconds() + phone.from() * lasts,
                        word.startSeconds() + phone.to() * lasts,
                        spoken);
            }
        }
        return new MouthShapes(tiled(spoken, length), told ? Source.ENGINE : Source.SPELLING);
    }

    /** A letter a sound, each as long as the others: what is known of a word when only its time is. */
    private static List<Phone> spelled(String text, List<TimedWord> words) {
        List<Phone> letters = new ArrayList<>();
        for (TimedWord word : words) {
            String said = Spelling.ipa(text.substring(word.start(), word.end()));
            for (int i = 0; i < said.length(); i++) {
                letters.add(new Phone(
                        word.start(),
                        i / (double) said.length(),
                        (i + 1) / (double) said.length(),
                        said.substring(i, i + 1)));
            }
        }
        return letters;
    }

    private static void moved(String ipa, double start, double end, List<MouthShape> into) {
        List<Integer> shapes = Viseme.of(ipa);
        double each = (end - start) / shapes.size();
        for (int i = 0; i < shapes.size(); i++) {
            into.add(new MouthShape(start + i * each, start + (i + 1) * each, shapes.get(i), ipa));
        }
    }

    private static List<MouthShape> tiled(List<MouthShape> spoken, double length) {
        List<MouthShape> all = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < spoken.size() && at < length; i++) {
            MouthShape shape = spoken.get(i);
            double start = Math.min(length, shape.start() - at < JOINED_SECONDS ? at : shape.start());
            double next = i + 1 < spoken.size() ? spoken.get(i + 1).start() : length;
            double end = Math.min(Math.min(length, shape.end()), Math.max(start, next));
            if (start > at) {
                all.add(new MouthShape(at, start, Viseme.NONE, ""));
            }
            if (end > start) {
                all.add(new MouthShape(start, end, shape.viseme(), shape.phoneme()));
                at = end;
            } else {
                at = start;
            }
        }
        if (at < length) {
            all.add(new MouthShape(at, length, Viseme.NONE, ""));
        }
        return all;
    }
}
