package org.logophon.core.text.script;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The layout of screenplays: a name in capitals alone on a line, what it says right under it; {@code INT.} and
 * {@code EXT.} begin a scene. Common practice, no source. It counts where a name speaks twice at least: a title in
 * capitals over its text is none.
 */
final class ScreenplayLayout {

    /** A name, with whether it is heard off the picture, or goes on. */
    private static final Pattern NAME = Pattern.compile("\\s{0,80}+(\\p{Lu}[\\p{Lu}\\p{M}\\p{N}.'’ -]{1,38}?)"
            + "(?:\\s?\\((?:V\\.? ?O\\.?|O\\.? ?[SC]\\.?|CONT['’]?D\\.?|CONTINUED)\\))?\\s{0,80}+");

    private static final Pattern SCENE = Pattern.compile("\\s{0,80}+(?:INT|EXT|INT\\.?/EXT|I/E)[. ].{1,120}");

    private final Set<String> speaking;

    private ScreenplayLayout(Set<String> speaking) {
        this.speaking = speaking;
    }

    static ScreenplayLayout of(String source) {
        Map<String, Integer> times = new HashMap<>();
        String[] before = {"", ""};
        ScriptParser.forEachLine(source, (start, end) -> {
            // most lines aren't copied: a name is short
            String line = end - start > 200 ? "a" : source.substring(start, end);
            if (before[0].isBlank() && speaks(before[1], line)) {
                times.merge(name(before[1]).orElseThrow(), 1, Integer::sum);
            }
            before[0] = before[1];
            before[1] = line;
        });
        boolean dialogue = times.values().stream().anyMatch(count -> count > 1);
        return new ScreenplayLayout(dialogue ? new HashSet<>(times.keySet()) : Set.of());
    }

    /** @param next the line after it */
    private static boolean speaks(String line, String next) {
        return !next.isBlank()
                && name(line).isPresent()
                && !SCENE.matcher(line).matches()
                && name(next).isEmpty();
    }

    private static Optional<String> name(String line) {
        if (line.length() < 2 || line.length() > 200) {
            return Optional.empty();
        }
        Matcher found = NAME.matcher(line);
        return found.matches() ? Optional.of(found.group(1).strip()) : Optional.empty();
    }

    /** The name that a line is, when the line under it is what it says. @param next the line after it */
    Optional<String> speaker(String line, String next) {
        return speaking.isEmpty() || !speaks(line, next)
                ? Optional.empty()
                : name(line).filter(speaking::contains).map(RoleName::titled);
    }

    boolean isScene(String line) {
        return !speaking.isEmpty() && SCENE.matcher(line).matches();
    }
}
