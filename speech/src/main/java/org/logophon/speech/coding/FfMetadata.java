package org.logophon.speech.coding;

import org.logophon.core.time.coding.Tags;

/** Tags and chapters as FFmpeg reads them: its documented metadata format, version 1. */
final class FfMetadata {

    private FfMetadata() {}

    /** @param note name of the tag that the note goes into */
    static String of(Tags tags, String note) {
        StringBuilder text = new StringBuilder(";FFMETADATA1\n");
        put(text, "title", tags.title());
        put(text, "album", tags.album());
        put(text, "track", tags.track());
        put(text, note, tags.note());
        put(text, "date", tags.date());
        for (Tags.Chapter chapter : tags.chapters()) {
            text.append("[CHAPTER]\nTIMEBASE=1/1000\nSTART=")
                    .append(Math.round(chapter.fromSeconds() * 1_000))
                    .append("\nEND=")
                    .append(Math.round(chapter.toSeconds() * 1_000))
                    .append('\n');
            put(text, "title", chapter.title());
        }
        return text.toString();
    }

    private static void put(StringBuilder text, String name, String value) {
        if (!value.isEmpty()) {
            text.append(name)
                    .append('=')
                    .append(value.replace("\0", "").replaceAll("([=;#\\\\\n])", "\\\\$1"))
                    .append('\n');
        }
    }
}
