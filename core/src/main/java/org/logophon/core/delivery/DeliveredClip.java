package org.logophon.core.delivery;

import java.util.List;
import org.logophon.core.finish.Clip;
import org.logophon.core.loudness.Loudness;

/**
 * What a package tells of a clip: whose cue it is, in which file it lies, and how it measures. Where it stands in time, the
 * {@linkplain org.logophon.core.programme.Programme programme} knows.
 *
 * @param voice  its name
 * @param words  in the order of the text, timed from the clip's first sample; empty while no word is timed
 */
public record DeliveredClip(
        String number,
        String file,
        String scene,
        String role,
        String voice,
        String text,
        List<Clip.TimedWord> words,
        Loudness loudness,
        double truePeakDbtp) {

    public DeliveredClip {
        words = List.copyOf(words);
    }
}
