package org.logophon.core.voice.described;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.described.DescribingWords.Meaning;
import org.logophon.core.voice.described.DescribingWords.Scale;

/**
 * The wishes that a description expresses; a null or 0 asks for nothing.
 *
 * @param pitch   −2 very deep … +2 very high
 * @param pace    −2 very slow … +2 very fast
 * @param range   −2 even … +2 lively
 * @param colour  −2 dark … +2 bright
 * @param places  words that may name an accent or a language
 * @param unknown words that say nothing about a voice here
 */
public record Description(
        Gender gender,
        Age age,
        double pitch,
        double pace,
        double range,
        double colour,
        boolean whispers,
        List<String> places,
        List<String> unknown) {

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}'’-]+|\\d+");
    private static final Pattern YEARS_OLD = Pattern.compile("(\\d{1,3})[ -]*years?[ -]*old");
    private static final Set<String> FILLERS = Set.of(
            "a",
            "an",
            "the",
            "and",
            "with",
            "voice",
            "of",
            "from",
            "in",
            "who",
            "speaks",
            "speaking",
            "sounds",
            "sounding",
            "that",
            "is",
            "but",
            "accent",
            "like",
            "to",
            "too",
            "years",
            "year",
            "year-old",
            "person",
            "somebody",
            "someone",
            "or",
            "at",
            "about",
            "quality",
            "tone",
            "narration",
            "for",
            "my",
            "their");
    /** How much of what the next word says. */
    private static final Map<String, Double> MUCH = Map.ofEntries(
            Map.entry("very", 2.0),
            Map.entry("extremely", 2.0),
            Map.entry("really", 2.0),
            Map.entry("bit", 0.5),
            Map.entry("little", 0.5),
            Map.entry("slightly", 0.5),
            Map.entry("somewhat", 0.5),
            Map.entry("rather", 0.75),
            Map.entry("quite", 0.75),
            Map.entry("fairly", 0.75));

    private static final Set<String> TURNING = Set.of("not", "never", "without", "no", "isn't", "isn’t");
    /** "Not too deep" asks for a little less than the middle, "not deep" for the other end. */
    private static final double NOT_TOO = -0.25;

    private static final double MOST = 2;
    private static final Map<String, Integer> DECADES = Map.of(
            "teens",
            15,
            "twenties",
            25,
            "thirties",
            35,
            "forties",
            45,
            "fifties",
            55,
            "sixties",
            65,
            "seventies",
            75,
            "eighties",
            85,
            "nineties",
            95);
    private static final int YOUNG_UNTIL = 25;
    private static final int OLD_FROM = 60;
    private static final int OLDEST = 110;

    /** @param places words that are known to name an accent or a language, in lower case */
    public static Description of(String written, Set<String> places) {
        Gender gender = null;
        Age age = null;
        boolean whispers = false;
        Map<Scale, Double> scales = new EnumMap<>(Scale.class);
        List<String> named = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        double much = 1;
        boolean turned = false;
        boolean too = false;
        Matcher words =
                WORD.matcher(YEARS_OLD.matcher(written.toLowerCase(Locale.ROOT)).replaceAll("$1"));
        while (words.find()) {
            String word = words.group();
            if (TURNING.contains(word)) {
                turned = true;
                continue;
            }
            if (turned && (word.equals("too") || word.equals("very") || word.equals("so"))) {
                too = true;
                continue;
            }
            if (MUCH.containsKey(word)) {
                much = MUCH.get(word);
                continue;
            }
            Meaning meaning = DescribingWords.ALL.get(word);
            Age inYears = years(word);
            if (meaning != null) {
                // "not old" says no more than that
                gender = turned || meaning.gender() == null ? gender : meaning.gender();
                age = turned || meaning.age() == null ? age : meaning.age();
                whispers |= meaning.whispers() && !turned;
                double times = too ? NOT_TOO : turned ? -much : much;
                meaning.scales()
                        .forEach((scale, value) ->
                                scales.merge(scale, value * times, (a, b) -> Math.max(-MOST, Math.min(MOST, a + b))));
            } else if (inYears != null) {
                age = inYears;
            } else if (places.contains(word)) {
                named.add(word);
            } else if (FILLERS.contains(word) || Character.isDigit(word.charAt(0))) {
                continue;
            } else {
                unknown.add(word);
            }
            much = 1;
            turned = false;
            too = false;
        }
        return new Description(
                gender,
                age,
                scales.getOrDefault(Scale.PITCH, 0.0),
                scales.getOrDefault(Scale.PACE, 0.0),
                scales.getOrDefault(Scale.RANGE, 0.0),
                scales.getOrDefault(Scale.COLOUR, 0.0),
                whispers,
                named,
                unknown);
    }

    /** Of "70" or "seventies"; null for a word that says no age. */
    private static Age years(String word) {
        Integer years = DECADES.get(word);
        if (years == null && word.matches("\\d{1,3}")) {
            years = Integer.valueOf(word);
        }
        if (years == null || years > OLDEST) {
            return null;
        }
        return years <= YOUNG_UNTIL ? Age.YOUNG : years >= OLD_FROM ? Age.OLD : Age.GROWN;
    }

    /** True when nothing in it says anything about a voice. */
    public boolean empty() {
        return gender == null
                && age == null
                && pitch == 0
                && pace == 0
                && range == 0
                && colour == 0
                && !whispers
                && places.isEmpty();
    }
}
