package org.logophon.app.steps.cast;

import java.util.List;

/**
 * A note on a voice: shortlist, stars, text, groups.
 *
 * @param stars  0–5, 0 for none given
 * @param groups names of the house's groups that it is in
 */
record VoiceNote(boolean shortlisted, int stars, String note, List<String> groups) {

    static final VoiceNote NONE = new VoiceNote(false, 0, "", List.of());
}
