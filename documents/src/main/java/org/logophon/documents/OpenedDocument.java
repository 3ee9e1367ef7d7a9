package org.logophon.documents;

import java.util.List;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.text.script.Slot;

/**
 * A document as the script it becomes.
 *
 * @param name    of the file, without its ending
 * @param format  as people read it: "Word document"
 * @param script  script text
 * @param slots   for each cue in turn its slot or null; empty when the format has none
 * @param numbers for each cue in turn its number or null; empty when the format has none
 * @param skipped what was left out or guessed, as sentences
 * @param columns for CSV what each column was taken as; else empty
 * @param directed for each cue in turn its marks and readings; empty when the format has none
 * @param language BCP 47 tag of the whole; empty when the document doesn't say
 */
public record OpenedDocument(
        String name,
        String format,
        String script,
        List<Slot> slots,
        List<String> numbers,
        List<String> skipped,
        List<Column> columns,
        List<SsmlCue> directed,
        String language) {

    /**
     * A column of a CSV file.
     *
     * @param takenAs number, role, text, in, out, or empty for left out
     */
    public record Column(int index, String header, String takenAs) {}

    static OpenedDocument ofText(String name, String format, String script, List<String> skipped) {
        return new OpenedDocument(name, format, script, List.of(), List.of(), List.copyOf(skipped), List.of());
    }

    /** Without direction. */
    OpenedDocument(
            String name,
            String format,
            String script,
            List<Slot> slots,
            List<String> numbers,
            List<String> skipped,
            List<Column> columns) {
        this(name, format, script, slots, numbers, skipped, columns, List.of(), "");
    }

    OpenedDocument with(List<SsmlCue> cues, String tag) {
        return new OpenedDocument(name, format, script, slots, numbers, skipped, columns, List.copyOf(cues), tag);
    }

    /** True when each paragraph is a cue of its own and must stay so. */
    public boolean cueByCue() {
        return !slots.isEmpty() || !numbers.isEmpty() || !directed.isEmpty();
    }
}
