package org.logophon.core.delivery;

import com.ibm.icu.text.Normalizer2;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.input.InvalidInput;

/**
 * Names clips by a pattern of fields in braces; a slash in it makes folders, as in {@code {scene}/{number}_{slug}}.
 * Names are safe on every common file system (no reserved character or device name, 120 bytes at most) and unique
 * without regard to case within one set.
 */
public final class FileNames {

    public static final String DEFAULT_PATTERN = "{number}_{slug}";
    public static final int MOST_BYTES = 120;
    /** Characters of a pattern. */
    public static final int LONGEST_PATTERN = 200;

    private static final Set<String> FIELDS = Set.of("number", "slug", "role", "voice", "take", "scene", "project");
    private static final Pattern FIELD = Pattern.compile("\\{([^{}]*)}");
    private static final Pattern DEVICE =
            Pattern.compile("(?i)^(con|prn|aux|nul|com[0-9¹²³]|lpt[0-9¹²³]|conin\\$|conout\\$)(\\.|$)");

    private final String pattern;
    /** Names that files of the whole programme have. */
    private static final Set<String> TAKEN =
            Set.of("programme.wav", "programme.flac", "programme.mp3", "programme.opus", "programme.m4a");

    private final Set<String> used = new HashSet<>(TAKEN);

    /** @throws InvalidInput with a sentence when the pattern has an unknown field */
    public FileNames(String pattern) {
        String given = pattern == null || pattern.isBlank() ? DEFAULT_PATTERN : pattern.strip();
        Matcher fields = FIELD.matcher(given);
        while (fields.find()) {
            if (!FIELDS.contains(fields.group(1))) {
                throw new InvalidInput(("{%s} is no field of a file name. The fields are {number}, {slug}, {role}, "
                                + "{voice}, {take}, {scene} and {project}.")
                        .formatted(fields.group(1)));
            }
        }
        if (given.length() > LONGEST_PATTERN) {
            throw new InvalidInput("A name pattern has %d characters at most, and this one has %d."
                    .formatted(LONGEST_PATTERN, given.length()));
        }
        this.pattern = given;
    }

    /**
     * The next name of the set.
     *
     * @param clip      whose file it is
     * @param extension without its dot
     */
    public String next(ClipFields clip, String extension) {
        return named(clip, extension).path();
    }

    /** @param shortened true where not all of it fitted */
    public record Name(String path, boolean shortened) {}

    /** The same with what became of it. */
    public Name named(ClipFields clip, String extension) {
        Map<String, String> values = clip.values();
        String[] steps = pattern.split("/", -1);
        StringBuilder folders = new StringBuilder();
        boolean cut = values.values().stream().anyMatch(value -> value.length() > MOST_BYTES);
        for (int i = 0; i + 1 < steps.length; i++) {
            String folder = filled(steps[i], values);
            // a cue of no scene lies beside the folders of the others
            folders.append(folder.isBlank() ? "" : shortened(safe(folder), MOST_BYTES) + "/");
            cut |= bytes(safe(folder)) > MOST_BYTES;
        }
        String base = safe(filled(steps[steps.length - 1], values));
        for (int copy = 1; ; copy++) {
            String suffix = (copy == 1 ? "" : "-" + copy) + "." + extension;
            String name = folders + shortened(base, MOST_BYTES - suffix.length()) + suffix;
            if (used.add(name.toLowerCase(Locale.ROOT))) {
                return new Name(name, cut || bytes(base) > MOST_BYTES - suffix.length());
            }
        }
    }

    private static String filled(String step, Map<String, String> values) {
        return FIELD.matcher(step)
                .replaceAll(f -> Matcher.quoteReplacement(beginning(values.getOrDefault(f.group(1), ""))));
    }

    /** No name has room for more of one field; a heading can be as long as a script. */
    private static String beginning(String value) {
        return value.length() <= MOST_BYTES ? value : value.substring(0, MOST_BYTES);
    }

    private static String safe(String name) {
        String plain = Normalizer2.getNFCInstance()
                .normalize(name)
                .replaceAll("[\\p{Cntrl}\\p{Cf}\\p{Cs}\\p{Co}\\p{Cn}\\p{Zl}\\p{Zp}]", "")
                .replaceAll("[<>:\"/\\\\|?*]", "-")
                .replaceAll("\\s+", " ")
                .replaceAll("^[\\s.~-]+", "")
                .replaceAll("[\\s.]+$", "");
        if (plain.isEmpty()) {
            return "cue";
        }
        return DEVICE.matcher(plain).find() ? "_" + plain : plain;
    }

    private static int bytes(String name) {
        return name.getBytes(StandardCharsets.UTF_8).length;
    }

    private static String shortened(String name, int mostBytes) {
        String kept = name;
        while (bytes(kept) > mostBytes) {
            kept = kept.substring(0, kept.offsetByCodePoints(kept.length(), -1));
        }
        return kept.replaceAll("[\\s.]+$", "");
    }
}
