package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * A person's speech held against the words that it should be: when each word starts, how well it fits, what is said
 * beside the words, and which words have no sound. Several voices say the words, and what they have in common is
 * compared.
 *
 * @param words   in order, each where it starts
 * @param strange stretches that no word is for, in order
 * @param unsaid  words without a sound, in order
 */
public record WordMatch(List<Fit> words, List<Strange> strange, List<Unsaid> unsaid) {

    /** Whose time the words are laid in, one after the other: their mean holds. */
    private static final int BASES = 3;
    /**
     * What a detour must save to count, in usual distances. Between recordings as they are and with a word more or
     * less.
     */
    private static final double STRANGE_SAVES = 2.9;

    private static final double UNSAID_SAVES = 4;
    /** Shorter is no word. */
    private static final double SHORTEST_SECONDS = 0.07;

    private static final double PAUSE_DB = -38;
    /** So far over the noise of a room somebody speaks. */
    private static final double OVER_NOISE_DB = 6;

    private static final double ROOM_UNDER_SPEECH_DB = 15;

    private static final int MOST_UNSAID = 12;
    /** A word that is so far over the usual distance is no doubt yet, and so far over it a full one. */
    private static final double SURE = 1.15;

    private static final double DOUBTFUL = 1.75;

    public WordMatch {
        words = List.copyOf(words);
        strange = List.copyOf(strange);
        unsaid = List.copyOf(unsaid);
    }

    /** @param place code point in the spoken text @param sample where it starts @param doubt 0–1 */
    public record Fit(int place, int sample, double doubt) {}

    /**
     * @param before   code point of the word that follows it; −1 at the end
     * @param from     sample
     * @param to       after the last
     * @param saves    how clear it is, in usual distances
     * @param repeated true when it sounds like the words beside it
     */
    public record Strange(int before, int from, int to, double saves, boolean repeated) {}

    /** @param from code point of the first word @param to of the last @param sample where they would be */
    public record Unsaid(int from, int to, int sample, double saves) {}

    /** Stretches and words as their positions are found, one for each base. */
    private record Gathered(double saves, double from, double to, int count) {

        static final Gathered NONE = new Gathered(0, 0, 0, 0);

        Gathered and(InsertionsAndDeletions.Detour detour) {
            return new Gathered(saves + detour.saves(), from + detour.from(), to + detour.to(), count + 1);
        }

        double mean() {
            return count == 0 ? 0 : saves / count;
        }
    }

    /**
     * @param references the same words said by voices that tell word starts, at least one
     * @param sound      with the speech; its quiet before and after is passed over
     */
    public static WordMatch of(List<Utterance> references, Sound sound) {
        SpeechSpan span = SpeechSpan.of(sound);
        int rates =
                references.stream().mapToInt(said -> said.sound().rate()).min().orElseThrow();
        double highest = MelCepstra.highestHertz(Math.min(sound.rate(), rates));
        MelCepstra asked = MelCepstra.of(sound.cut(span.from(), span.to()), highest);
        boolean[] quiet = quiet(asked.levels());
        List<PooledVoice.Told> told = references.stream()
                .map(said -> PooledVoice.Told.of(said, asked, highest))
                .toList();
        List<Compared> compared = told.stream()
                .limit(BASES)
                .map(base -> Compared.of(PooledVoice.of(base, told), asked, quiet))
                .toList();
        double step = asked.stepSeconds() * sound.rate();
        List<WordStart> starts = WordAligner.starts(
                references, told.stream().map(PooledVoice.Told::steps).toList(), sound, span, asked);
        return new WordMatch(
                fits(starts, compared),
                strange(compared, quiet, span.from(), step, asked.stepSeconds()),
                unsaid(compared, span.from(), step));
    }

    /** Steps in which nobody speaks: quiet ones, and in a loud room those that are hardly over its noise. */
    private static boolean[] quiet(float[] levels) {
        float[] sorted = levels.clone();
        Arrays.sort(sorted);
        float noise = sorted[sorted.length / 20];
        float speech = sorted[sorted.length * 19 / 20];
        // without a pause in it the quietest is speech, too
        double threshold = speech - noise < ROOM_UNDER_SPEECH_DB ? PAUSE_DB : Math.max(PAUSE_DB, noise + OVER_NOISE_DB);
        boolean[] quiet = new boolean[levels.length];
        for (int j = 0; j < quiet.length; j++) {
            quiet[j] = levels[j] <= threshold;
        }
        return quiet;
    }

    /** The sound beside one base. */
    private record Compared(PooledVoice voice, float[][] sound, InsertionsAndDeletions detours) {

        static Compared of(PooledVoice voice, MelCepstra asked, boolean[] quiet) {
            float[][] sound = voice.weighed(asked);
            return new Compared(voice, sound, new InsertionsAndDeletions(voice.frames(), sound, quiet));
        }

        int rowAfter(int word) {
            return word + 1 < voice.rows().length ? voice.rows()[word + 1] : voice.frames().length;
        }

        /** Distance of each word on the plain path, against the usual one. */
        double[] distances() {
            int[] path = Warp.path(voice.frames(), sound);
            double[] distances = new double[voice.rows().length];
            for (int w = 0; w < distances.length; w++) {
                int from = voice.rows()[w];
                int to = Math.max(from + 1, rowAfter(w));
                double sum = 0;
                int count = 0;
                for (int i = from; i < Math.min(to, voice.frames().length); i++, count++) {
                    sum += Warp.distance(
                            voice.frames()[i], sound[Math.min(sound.length - 1, (path[i] + path[i + 1]) / 2)]);
                }
                distances[w] = count == 0 ? 1 : sum / count / detours.usual();
            }
            return distances;
        }

        /** How like the sound from one step to another is to words beside a row, against the usual distance. */
        double likeness(int word, int from, int to) {
            double best = Double.MAX_VALUE;
            for (int first = Math.max(0, word - 4); first < Math.min(voice.rows().length, word + 4); first++) {
                for (int last = first; last < Math.min(voice.rows().length, first + 5); last++) {
                    int begin = voice.rows()[first];
                    int end = rowAfter(last);
                    boolean beside = last + 1 == word || first == word;
                    double longer = (end - begin) / (double) Math.max(1, to - from);
                    if (beside && longer > 0.5 && longer < 2 && end - begin > 10) {
                        best = Math.min(best, mean(begin, end, from, to));
                    }
                }
            }
            return best;
        }

        private double mean(int begin, int end, int from, int to) {
            float[][] words = Arrays.copyOfRange(voice.frames(), begin, end);
            float[][] said = Arrays.copyOfRange(sound, from, to);
            int[] path = Warp.path(words, said);
            double sum = 0;
            for (int i = 0; i < words.length; i++) {
                sum += Warp.distance(words[i], said[Math.min(said.length - 1, (path[i] + path[i + 1]) / 2)]);
            }
            return sum / words.length / detours.usual();
        }
    }

    private static List<Fit> fits(List<WordStart> starts, List<Compared> compared) {
        Map<Integer, double[]> away = new TreeMap<>();
        for (Compared one : compared) {
            double[] distances = one.distances();
            for (int w = 0; w < distances.length; w++) {
                double[] sum = away.computeIfAbsent(one.voice().places()[w], place -> new double[2]);
                sum[0] += distances[w];
                sum[1]++;
            }
        }
        List<Fit> fits = new ArrayList<>();
        for (WordStart start : starts) {
            if (start.codePoint() >= 0) {
                double[] sum = away.getOrDefault(start.codePoint(), new double[] {0, 0});
                double distance = sum[1] == 0 ? 1 : sum[0] / sum[1];
                double doubt = Math.max(0, Math.min(1, (distance - SURE) / (DOUBTFUL - SURE)));
                fits.add(new Fit(start.codePoint(), start.sample(), doubt));
            }
        }
        return fits;
    }

    private static List<Strange> strange(
            List<Compared> compared, boolean[] quiet, int offset, double step, double stepSeconds) {
        Map<Integer, Gathered> gathered = new TreeMap<>();
        for (Compared one : compared) {
            int[] places = one.voice().places();
            for (int w = 0; w <= places.length; w++) {
                InsertionsAndDeletions.Detour detour = one.detours()
                        .past(
                                w < places.length
                                        ? one.voice().rows()[w]
                                        : one.voice().frames().length);
                gathered.merge(
                        w < places.length ? places[w] : Integer.MAX_VALUE,
                        Gathered.NONE.and(detour),
                        (sum, next) -> new Gathered(
                                sum.saves() + next.saves(),
                                sum.from() + next.from(),
                                sum.to() + next.to(),
                                sum.count() + 1));
            }
        }
        List<Strange> found = new ArrayList<>();
        List<double[]> taken = new ArrayList<>();
        gathered.entrySet().stream()
                .filter(entry -> entry.getValue().count() > compared.size() / 2)
                .sorted(Comparator.comparingDouble(entry -> -entry.getValue().mean()))
                .forEach(entry -> {
                    Gathered sum = entry.getValue();
                    int from = (int) Math.round(sum.from() / sum.count());
                    int to = (int) Math.round(sum.to() / sum.count());
                    int sounding = 0;
                    for (int j = from; j < Math.min(quiet.length, to); j++) {
                        sounding += quiet[j] ? 0 : 1;
                    }
                    boolean overlaps = taken.stream().anyMatch(other -> from < other[1] + 10 && to > other[0] - 10);
                    if (sum.mean() < STRANGE_SAVES || sounding * stepSeconds < SHORTEST_SECONDS || overlaps) {
                        return;
                    }
                    taken.add(new double[] {from, to});
                    found.add(new Strange(
                            entry.getKey() == Integer.MAX_VALUE ? -1 : entry.getKey(),
                            offset + (int) (from * step),
                            offset + (int) (to * step),
                            sum.mean(),
                            repeated(compared, entry.getKey(), from, to)));
                });
        found.sort(Comparator.comparingInt(Strange::from));
        return found;
    }

    private static boolean repeated(List<Compared> compared, int place, int from, int to) {
        double sum = 0;
        for (Compared one : compared) {
            int word = 0;
            while (word < one.voice().places().length && one.voice().places()[word] < place) {
                word++;
            }
            sum += one.likeness(word, from, Math.min(one.sound().length, Math.max(to, from + 2)));
        }
        return sum / compared.size() < SURE;
    }

    private static List<Unsaid> unsaid(List<Compared> compared, int offset, double step) {
        Map<Long, Gathered> gathered = new TreeMap<>();
        for (Compared one : compared) {
            int[] places = one.voice().places();
            for (int first = 0; first < places.length; first++) {
                for (int last = first; last < Math.min(places.length, first + MOST_UNSAID); last++) {
                    InsertionsAndDeletions.Detour detour =
                            one.detours().without(one.voice().rows()[first], one.rowAfter(last));
                    if (detour.saves() > 0) {
                        gathered.merge(
                                (long) places[first] << 32 | places[last],
                                Gathered.NONE.and(detour),
                                (sum, next) -> new Gathered(
                                        sum.saves() + next.saves(),
                                        sum.from() + next.from(),
                                        sum.to() + next.to(),
                                        sum.count() + 1));
                    }
                }
            }
        }
        List<Unsaid> found = new ArrayList<>();
        gathered.entrySet().stream()
                .filter(entry -> entry.getValue().count() == compared.size()
                        && entry.getValue().mean() > UNSAID_SAVES)
                .sorted(Comparator.comparingDouble(entry -> -entry.getValue().mean()))
                .forEach(entry -> {
                    int from = (int) (entry.getKey() >> 32);
                    int to = (int) (long) entry.getKey();
                    if (found.stream().noneMatch(other -> from <= other.to() && to >= other.from())) {
                        Gathered sum = entry.getValue();
                        found.add(new Unsaid(from, to, offset + (int) (sum.from() / sum.count() * step), sum.mean()));
                    }
                });
        found.sort(Comparator.comparingInt(Unsaid::from));
        return found;
    }
}
