package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.direction.ssml.SsmlWriter;
import org.logophon.core.text.reading.ReadingsCsv;
import org.logophon.core.text.reading.ReadingsPls;
import org.logophon.core.time.programme.Programme.PlacedClip;

/** The script as it is spoken: plain text, SSML with its direction, and the readings that hold for all of it. */
public final class ScriptPart implements Part {

    @Override
    public String id() {
        return "script";
    }

    @Override
    public String label() {
        return "Script as spoken";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        List<PartFile> files = new ArrayList<>();
        files.add(PartFile.text("script.txt", () -> text(delivered)));
        List<SsmlCue> scores = delivered.programme().clips().stream()
                .map(clip -> clip.cue().score())
                .filter(Objects::nonNull)
                .toList();
        if (!scores.isEmpty()) {
            files.add(PartFile.text("script.ssml", () -> SsmlWriter.document(scores, delivered.language())));
        }
        if (!delivered.readings().isEmpty()) {
            files.add(
                    PartFile.text("readings.pls", () -> ReadingsPls.write(delivered.readings(), delivered.language())));
            files.add(PartFile.text("readings.csv", () -> ReadingsCsv.write(delivered.readings())));
        }
        return files;
    }

    /** It reads back as a script: headings open scenes, a role is named where it changes. */
    private static String text(Delivered delivered) {
        StringBuilder script = new StringBuilder();
        String scene = "";
        String role = "";
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            DeliveredClip clip = placed.cue();
            if (!clip.scene().equals(scene)) {
                scene = clip.scene();
                script.append("# ").append(scene).append("\n\n");
            }
            if (!clip.role().equals(role)) {
                role = clip.role();
                script.append(role.toUpperCase(Locale.ROOT)).append(": ");
            }
            script.append(clip.text()).append("\n\n");
        }
        return script.toString();
    }
}
