package org.logophon.app.services.deliveries;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.DeliveredProject.ClipOptions;
import org.logophon.app.services.deliveries.DeliveredProject.ClipSource;
import org.logophon.app.services.deliveries.DeliveredProject.Prepared;
import org.logophon.app.services.project.CaptionRepository;
import org.logophon.app.services.project.CaptionRepository.Corrected;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.part.CaptionsPart;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.time.caption.Caption;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;
import org.springframework.stereotype.Service;

/** The captions of a project as they would be delivered now, and their corrections. */
@Service
public class ProjectCaptions {

    private final Projects projects;
    private final DeliveredProject delivering;
    private final CaptionRepository corrections;

    ProjectCaptions(Projects projects, DeliveredProject delivering, CaptionRepository corrections) {
        this.projects = projects;
        this.delivering = delivering;
        this.corrections = corrections;
    }

    /**
     * A caption as it is shown.
     *
     * @param from  timecode
     * @param speed characters a second
     */
    public record Shown(String from, String lines, int speed, boolean fast) {}

    /**
     * The captions of a cue.
     *
     * @param text      that they show
     * @param corrected true where that isn't what is spoken
     * @param outdated  a correction that was made for other words; empty for none
     */
    public record OfCue(
            UUID cue,
            String number,
            String spoken,
            String text,
            boolean corrected,
            String outdated,
            List<Shown> captions) {}

    public List<OfCue> of(ProjectView view) {
        Prepared now = delivering.prepared(
                view, new ClipOptions("{number}", view.project().targetLufs(), SoundFormat.USUAL, false));
        Programme<ClipSource> programme = now.programme();
        Delivered delivered = now.delivered();
        Map<UUID, Corrected> corrected = corrections.of(view.id());
        List<OfCue> cues = new ArrayList<>();
        for (int i = 0; i < programme.clips().size(); i++) {
            UUID cue = programme.clips().get(i).cue().cue().id();
            DeliveredClip clip = delivered.programme().clips().get(i).cue();
            boolean own = !clip.caption().isEmpty();
            Corrected kept = corrected.get(cue);
            cues.add(new OfCue(
                    cue,
                    clip.number(),
                    clip.text(),
                    own ? clip.caption() : clip.text(),
                    own,
                    own || kept == null ? "" : kept.shown(),
                    CaptionsPart.captions(delivered, i).stream()
                            .map(caption -> shown(delivered, caption))
                            .toList()));
        }
        return cues;
    }

    private static Shown shown(Delivered delivered, Caption caption) {
        double speed = caption.charactersPerSecond();
        long frame = delivered.frame(SampleCount.ofMillis(caption.startMillis()));
        return new Shown(
                delivered.timecode(frame), String.join("\n", caption.lines()), (int) Math.round(speed), caption.fast());
    }

    /**
     * @param shown what readers are to see of a cue; what is spoken takes a correction away
     * @throws Refused with a sentence when it can't be a caption
     */
    public void correct(UUID project, UUID cue, String shown) {
        OfCue now = of(projects.view(project)).stream()
                .filter(one -> one.cue().equals(cue))
                .findFirst()
                .orElseThrow(() -> new NotFound("This cue isn't here any more, or has no take. Reload the page."));
        String text = shown == null ? "" : shown.strip().replaceAll("\\s+", " ");
        if (text.isEmpty()) {
            throw new Refused("A caption can't be empty. Type its text, or use the spoken words.");
        }
        String problem = ScriptCue.problem(text);
        if (problem != null) {
            throw new Refused(problem);
        }
        if (text.chars().noneMatch(Character::isLetterOrDigit)) {
            throw new Refused("A caption needs a word. Type its text, or use the spoken words.");
        }
        if (text.equals(now.spoken().strip().replaceAll("\\s+", " "))) {
            corrections.remove(cue);
        } else {
            corrections.keep(cue, new Corrected(now.spoken(), text));
        }
    }
}
