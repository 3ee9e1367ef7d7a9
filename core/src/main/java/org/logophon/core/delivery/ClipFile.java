package org.logophon.core.delivery;

import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDateTime;
import org.logophon.core.signal.wav.BroadcastExtension;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip;

/** A clip as it is delivered: Broadcast Wave, 24 bit, with its cue's number and text and its place in the programme. */
public final class ClipFile {

    private ClipFile() {}

    /**
     * @param text  that is spoken
     * @param start of the clip in the programme
     * @param made  when the package was made
     */
    public static void write(
            Clip clip, String number, String text, SampleCount start, LocalDateTime made, OutputStream out)
            throws IOException {
        BroadcastExtension extension = new BroadcastExtension(
                text, number, made, start.samples(), clip.loudness().lufs(), clip.truePeakDbtp());
        WavWriter.write(clip.sound(), SampleFormat.PCM_24, extension, out);
    }
}
