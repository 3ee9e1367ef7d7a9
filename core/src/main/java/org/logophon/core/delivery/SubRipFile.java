package org.logophon.core.delivery;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.Programme.PlacedClip;

/** Captions of the programme as SubRip. */
final class SubRipFile implements PackagePart {

    @Override
    public String fileName() {
        return "captions.srt";
    }

    @Override
    public void write(Programme<DeliveredClip> programme, OutputStream out) throws IOException {
        List<Caption> captions = new ArrayList<>();
        for (int i = 0; i < programme.clips().size(); i++) {
            PlacedClip<DeliveredClip> clip = programme.clips().get(i);
            captions.addAll(Captions.of(clip.cue().text(), clip.cue().words(), clip.start(), programme.until(i)));
        }
        out.write(Captions.srt(captions).getBytes(StandardCharsets.UTF_8));
    }
}
