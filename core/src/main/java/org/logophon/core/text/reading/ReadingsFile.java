package org.logophon.core.text.reading;

import java.util.List;

/**
 * Readings read from a file.
 *
 * @param skipped entries that could not be taken, as sentences
 */
public record ReadingsFile(List<Reading> readings, List<String> skipped) {

    public ReadingsFile {
        readings = List.copyOf(readings);
        skipped = List.copyOf(skipped);
    }

    /** Tells PLS from CSV by its first sign. @throws InvalidInput with a sentence when it is neither */
    public static ReadingsFile read(String text) {
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return plain.stripLeading().startsWith("<") ? ReadingsPls.read(plain) : ReadingsCsv.read(plain);
    }
}
