package org.logophon.app.steps.cast;

import java.util.List;

/**
 * A part of the voices that match: a page shows what is looked at, and the rest when it is.
 *
 * @param to   the place in the whole list after the last one
 * @param rest how many come after it
 */
record VoiceRows(List<VoiceRow> rows, int to, int rest) {

    private static final int AT_ONCE = 20;

    /**
     * @param from  how many are left out
     * @param least how many are wanted
     * @param upTo  a voice that must be among them if it matches; null or empty for none
     */
    static VoiceRows of(List<VoiceRow> all, int from, int least, String upTo) {
        int first = Math.max(0, Math.min(from, all.size()));
        int last = first + Math.max(AT_ONCE, Math.min(least, all.size()));
        for (int i = last; i < all.size(); i++) {
            if (all.get(i).voice().id().equals(upTo)) {
                last = i + 1;
            }
        }
        last = Math.min(last, all.size());
        return new VoiceRows(all.subList(first, last), last, all.size() - last);
    }
}
