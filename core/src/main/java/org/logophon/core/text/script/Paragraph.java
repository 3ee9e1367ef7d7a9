package org.logophon.core.text.script;

import java.util.List;

/**
 * Spoken lines without a break between them.
 *
 * @param start index in the source of its first line
 * @param end   index after its last line
 * @param lines one passage a line
 * @param blanks blank lines before it; a heading, a name or a divider before it counts as {@link #APART}
 */
record Paragraph(
        int start, int end, String scene, String role, List<MappedText> lines, int blanks, boolean afterDivider) {

    /** More blank lines than any way of splitting asks for. */
    static final int APART = 1000;

    MappedText passage() {
        return lines.stream().reduce(MappedText.EMPTY, MappedText::then);
    }
}
