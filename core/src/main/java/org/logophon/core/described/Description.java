package org.logophon.core.described;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;

/**
 * What the words of a description ask for; a null or 0 asks for nothing.
 *
 * @param pitch   −2 very deep … +2 very high
 * @param pace    −2 very slow … +2 very fast
 * @param range   −1 even … +1 lively
 * @param colour  −1 dark … +1 bright
 * @param places  words that may name an accent or a language
 * @param unknown words that say nothing about a voice here
 */
public record Description(
        Gender gender,
        Age age,
        int pitch,
        int pace,
        int range,
        int colour,
        boolean whispers,
        List<String> places,
        List<String> unknown) {

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}'’-]+");
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
            "not",
            "accent",
            "like",
            "somewhat",
            "rather",
            "quite",
            "bit",
            "little",
            "slightly");
    private static final Map<String, Integer> MUCH = Map.of("very", 2, "extremely", 2, "really", 2);
    private static final Map<String, Gender> GENDERS = Map.ofEntries(
            Map.entry("man", Gender.MALE),
            Map.entry("male", Gender.MALE),
            Map.entry("men", Gender.MALE),
            Map.entry("gentleman", Gender.MALE),
            Map.entry("boy", Gender.MALE),
            Map.entry("grandfather", Gender.MALE),
            Map.entry("woman", Gender.FEMALE),
            Map.entry("female", Gender.FEMALE),
            Map.entry("lady", Gender.FEMALE),
            Map.entry("girl", Gender.FEMALE),
            Map.entry("grandmother", Gender.FEMALE));
    private static final Map<String, Age> AGES = Map.ofEntries(
            Map.entry("old", Age.OLD),
            Map.entry("elderly", Age.OLD),
            Map.entry("aged", Age.OLD),
            Map.entry("grandfather", Age.OLD),
            Map.entry("grandmother", Age.OLD),
            Map.entry("young", Age.YOUNG),
            Map.entry("youthful", Age.YOUNG),
            Map.entry("boy", Age.YOUNG),
            Map.entry("girl", Age.YOUNG));
    private static final Map<String, Integer> PITCHES =
            words(Map.of(-1, "deep low bass booming", 1, "high shrill squeaky"));
    private static final Map<String, Integer> PACES =
            words(Map.of(-1, "slow unhurried measured calm", 1, "fast quick brisk hurried rapid"));
    private static final Map<String, Integer> RANGES =
            words(Map.of(-1, "even flat monotone level sober dry", 1, "lively animated expressive sing-song cheerful"));
    private static final Map<String, Integer> COLOURS =
            words(Map.of(-1, "warm dark soft mellow rich", 1, "bright clear sharp crisp thin"));
    private static final Set<String> WHISPERS = Set.of("whisper", "whispers", "whispering", "whispered", "breathy");

    private static Map<String, Integer> words(Map<Integer, String> lists) {
        Map<String, Integer> words = new LinkedHashMap<>();
        lists.forEach((value, list) -> List.of(list.split(" ")).forEach(word -> words.put(word, value)));
        return words;
    }

    /** @param places words that are known to name an accent or a language, in lower case */
    public static Description of(String written, Set<String> places) {
        Gender gender = null;
        Age age = null;
        int[] values = new int[4];
        boolean whispers = false;
        List<String> named = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        int much = 1;
        Matcher words = WORD.matcher(written.toLowerCase(Locale.ROOT));
        while (words.find()) {
            String word = words.group();
            if (MUCH.containsKey(word)) {
                much = MUCH.get(word);
                continue;
            }
            boolean known = GENDERS.containsKey(word)
                    || AGES.containsKey(word)
                    || WHISPERS.contains(word)
                    || places.contains(word)
                    || FILLERS.contains(word);
            gender = GENDERS.getOrDefault(word, gender);
            age = AGES.getOrDefault(word, age);
            whispers |= WHISPERS.contains(word);
            List<Map<String, Integer>> scales = List.of(PITCHES, PACES, RANGES, COLOURS);
            for (int i = 0; i < scales.size(); i++) {
                Integer value = scales.get(i).get(word);
                known |= value != null;
                values[i] = value == null ? values[i] : value * (i < 2 ? much : 1);
            }
            if (places.contains(word)) {
                named.add(word);
            } else if (!known) {
                unknown.add(word);
            }
            much = 1;
        }
        return new Description(gender, age, values[0], values[1], values[2], values[3], whispers, named, unknown);
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
