package org.logophon.core.time.caption;

import java.util.List;

/** SubRip: counter, times with a decimal comma, lines, a blank line. */
public final class SubRip {

    private SubRip() {}

    public static String of(List<Caption> captions) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < captions.size(); i++) {
            Caption caption = captions.get(i);
            out.append(i + 1)
                    .append("\r\n")
                    .append(CaptionTime.written(caption.startMillis(), ','))
                    .append(" --> ")
                    .append(CaptionTime.written(caption.endMillis(), ','))
                    .append("\r\n")
                    .append(String.join("\r\n", caption.lines()))
                    .append("\r\n\r\n");
        }
        return out.toString();
    }
}
