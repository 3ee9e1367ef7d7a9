package org.logophon.core.delivery;

import java.util.List;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.render.Phone;

/**
 * What a delivery tells of a clip: whose cue it is, in which file it lies, and how it measures. Where it stands in
 * time, the {@linkplain org.logophon.core.time.programme.Programme programme} knows.
 *
 * @param file    path in the delivery
 * @param voice   its name
 * @param words   in the order of the text, timed from the clip's first sample; empty while no word is timed
 * @param caption what readers see where it isn't the text; empty for the text
 * @param score   the cue with its direction, marks and readings; null when nobody knows them
 * @param phones  single sounds of its words; none where nobody told them
 * @param origin  where it comes from; null when no store holds it
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
        double truePeakDbtp,
        String caption,
        SsmlCue score,
        List<Phone> phones,
        ClipOrigin origin) {

    public DeliveredClip {
        words = List.copyOf(words);
        phones = List.copyOf(phones);
    }

    /** One without a caption of its own, and without a score. */
    public DeliveredClip(
            String number,
            String file,
            String scene,
            String role,
            String voice,
            String text,
            List<Clip.TimedWord> words,
            Loudness loudness,
            double truePeakDbtp) {
        this(number, file, scene, role, voice, text, words, loudness, truePeakDbtp, "", null, List.of(), null);
    }
}
