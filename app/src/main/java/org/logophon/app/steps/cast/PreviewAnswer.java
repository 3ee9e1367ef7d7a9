package org.logophon.app.steps.cast;

import java.util.List;

/**
 * What casting a voice would do.
 *
 * @param changed cues whose take would no longer be what is asked for
 * @param cost    of rendering them, as a sentence; empty when it costs nothing
 */
record PreviewAnswer(String sentence, List<String> lacks, int changed, String cost) {}
