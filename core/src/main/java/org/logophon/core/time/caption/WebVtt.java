package org.logophon.core.time.caption;

import java.util.List;

/** WebVTT (W3C, 4 April 2019), with voice spans where somebody in particular speaks. */
public final class WebVtt {

    private WebVtt() {}

    /** @param language BCP 47; empty for unknown */
    public static String of(List<Caption> captions, String language) {
        StringBuilder out = new StringBuilder(header(language));
        for (Caption caption : captions) {
            out.append(timing(caption.startMillis(), caption.endMillis()))
                    .append(voiced(escaped(String.join("\n", caption.lines())), caption.speaker()))
                    .append("\n\n");
        }
        return out.toString();
    }

    static String header(String language) {
        return language.isEmpty() ? "WEBVTT\n\n" : "WEBVTT\nLanguage: " + language + "\n\n";
    }

    static String timing(long start, long end) {
        return CaptionTime.written(start, '.') + " --> " + CaptionTime.written(end, '.') + "\n";
    }

    static String voiced(String escaped, String speaker) {
        // an annotation ends at its bracket, and has no line breaks (4.2.2)
        String name = escaped(speaker).replaceAll("[\\r\\n]+", " ").strip();
        return name.isEmpty() ? escaped : "<v " + name + ">" + escaped + "</v>";
    }

    static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
