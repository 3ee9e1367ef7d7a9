package org.logophon.core.time.caption;

import java.util.ArrayList;
import java.util.List;

/** Lines of what has no place to break at: cut at spaces where there are some, else between code points. */
final class LongWords {

    private LongWords() {}

    static List<String> lines(String piece, int most) {
        List<String> lines = new ArrayList<>();
        String rest = piece;
        while (rest.length() > most) {
            int cut = rest.lastIndexOf(' ', most);
            if (cut <= 0) {
                cut = Character.isLowSurrogate(rest.charAt(most)) ? most - 1 : most;
            }
            lines.add(rest.substring(0, cut).strip());
            rest = rest.substring(cut).strip();
        }
        if (!rest.isEmpty()) {
            lines.add(rest);
        }
        return lines;
    }
}
