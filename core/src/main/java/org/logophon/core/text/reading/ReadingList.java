package org.logophon.core.text.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Readings at work: each matches whole words, the longest first, capitals as it says; an earlier list overrides a later
 * one.
 */
public final class ReadingList {

    public static final ReadingList NONE = new ReadingList(List.of());

    /** A run of letters and figures, or one other character: where a match may start. */
    private static final Pattern CHUNK = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+|[^\\s\\p{L}\\p{M}\\p{N}]");

    private record Entry(Reading reading, int list) {}

    private final Map<String, List<Entry>> byFirstChunk = new HashMap<>();

    /** @param lists the most important first: a place, a project, the house */
    public ReadingList(List<? extends Collection<Reading>> lists) {
        for (int i = 0; i < lists.size(); i++) {
            for (Reading reading : lists.get(i)) {
                byFirstChunk
                        .computeIfAbsent(firstChunk(reading.written()), chunk -> new ArrayList<>())
                        .add(new Entry(reading, i));
            }
        }
        Comparator<Entry> longest =
                Comparator.comparingInt(e -> -e.reading().written().length());
        byFirstChunk
                .values()
                .forEach(entries -> entries.sort(longest.thenComparingInt(Entry::list)
                        .thenComparing(e -> e.reading().matchCase() ? 0 : 1)
                        .thenComparing(e -> e.reading().language() == null ? 1 : 0)));
    }

    /** A reading at a place of a text. */
    public record Match(int start, int end, Reading reading) {}

    /** In the order of the text; none overlap. @param language BCP 47 tag of the voice that speaks */
    public List<Match> find(String text, String language) {
        List<Match> found = new ArrayList<>();
        if (byFirstChunk.isEmpty()) {
            return found;
        }
        Matcher chunks = CHUNK.matcher(text);
        int from = 0;
        while (chunks.find(from)) {
            Match match = at(text, chunks.start(), chunks.group(), language);
            if (match != null) {
                found.add(match);
            }
            from = match == null ? chunks.end() : match.end();
        }
        return found;
    }

    /** What is said otherwise than written, for the engine. */
    public List<Pronunciation> said(String text, String language) {
        return find(text, language).stream()
                .map(m -> new Pronunciation(
                        m.start(),
                        m.end(),
                        m.reading().spoken(language),
                        m.reading().kind() == PronunciationKind.IPA))
                .toList();
    }

    private Match at(String text, int start, String chunk, String language) {
        for (Entry entry : byFirstChunk.getOrDefault(chunk.toLowerCase(Locale.ROOT), List.of())) {
            Reading reading = entry.reading();
            int end = start + reading.written().length();
            if (reading.holdsFor(language)
                    && text.regionMatches(
                            !reading.matchCase(),
                            start,
                            reading.written(),
                            0,
                            reading.written().length())
                    && !inside(text, start)
                    && !inside(text, end)) {
                return new Match(start, end, reading);
            }
        }
        return null;
    }

    /** True between two characters of one word. */
    private static boolean inside(String text, int at) {
        return at > 0 && at < text.length() && wordly(text.codePointBefore(at)) && wordly(text.codePointAt(at));
    }

    private static boolean wordly(int codePoint) {
        return Character.isLetterOrDigit(codePoint) || Character.getType(codePoint) == Character.NON_SPACING_MARK;
    }

    private static String firstChunk(String written) {
        Matcher chunk = CHUNK.matcher(written);
        return chunk.find() ? chunk.group().toLowerCase(Locale.ROOT) : written;
    }
}
