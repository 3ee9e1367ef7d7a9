package org.logophon.cli.narrate;

import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.time.place.TimedTake;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.render.Recipe;

/**
 * A finished clip of one cue.
 *
 * @param index       of its cue in the script
 * @param semitones   that were asked for
 * @param recipe      what it was rendered from
 * @param take        as spoken, before it was finished: a fit to a slot starts from it
 */
record MadeClip(
        int index,
        DeliveredClip clip,
        SampleCount length,
        Measurement measurement,
        double paceFactor,
        double semitones,
        Recipe recipe,
        TimedTake take) {

    /** With its sound, until that is written. */
    record Sounding(MadeClip made, Clip sound) {}
}
