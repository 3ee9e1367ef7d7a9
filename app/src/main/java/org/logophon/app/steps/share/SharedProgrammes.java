package org.logophon.app.steps.share;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.deliveries.DeliveredCue;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.Layers;
import org.logophon.app.steps.share.SharedProgramme.SharedCue;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.springframework.stereotype.Component;

/** What is heard at a link: a delivery as it was delivered, or the programme as it is now. */
@Component
class SharedProgrammes {

    private final Projects projects;
    private final ReadyDeliveries deliveries;
    private final TakeRepository takes;
    private final Layers layers;

    SharedProgrammes(Projects projects, ReadyDeliveries deliveries, TakeRepository takes, Layers layers) {
        this.projects = projects;
        this.deliveries = deliveries;
        this.takes = takes;
        this.layers = layers;
    }

    SharedProgramme of(Share share) {
        ProjectView view = projects.view(share.project());
        return share.delivery() == null ? now(view) : delivered(delivery(share), view);
    }

    /** The delivery that is heard; null for the programme as it is. */
    Delivery delivery(Share share) {
        if (share.delivery() == null) {
            return null;
        }
        return (share.follows() ? deliveries.newest(share.project()) : deliveries.find(share.delivery()))
                .orElseThrow(() -> new NotFound("What this link showed isn't there any more."));
    }

    /** Another one whenever anything of it may be another. */
    String stamp(Share share) {
        Project project = projects.require(share.project());
        int newest = share.delivery() == null
                ? 0
                : deliveries.newest(share.project()).map(Delivery::ordinal).orElse(0);
        return project.contentVersion() + "." + project.statusVersion() + "." + newest;
    }

    private SharedProgramme now(ProjectView view) {
        Programme<CueView> programme = view.heard();
        Map<UUID, Take> kept = takes(programme.clips().stream()
                .map(PlacedClip::cue)
                .map(CueView::keptTake)
                .filter(take -> take != null)
                .toList());
        List<SharedCue> cues = new ArrayList<>();
        for (PlacedClip<CueView> clip : programme.clips()) {
            CueView cue = clip.cue();
            Take take = kept.get(cue.keptTake());
            if (take != null) {
                cues.add(new SharedCue(
                        cue.id(),
                        take,
                        cue.number(),
                        cue.cue().scene(),
                        cue.cue().role(),
                        cue.role() == null ? 0 : cue.role().colour(),
                        cue.direction().loudnessDb(),
                        clip.start().seconds(),
                        clip.length().seconds(),
                        cue.state() == CueState.READY ? cue.heard(view.project()) : null));
            }
        }
        return new SharedProgramme(
                view.project().name(),
                0,
                0,
                view.project().targetLufs(),
                cues,
                programme.length().seconds(),
                layers.laidOut(view));
    }

    private SharedProgramme delivered(Delivery delivery, ProjectView view) {
        List<DeliveredCue> delivered = deliveries.cues(delivery.id());
        Map<UUID, Take> kept = takes(delivered.stream()
                .map(DeliveredCue::take)
                .filter(take -> take != null)
                .toList());
        Map<String, Integer> colours = new HashMap<>();
        view.roles().forEach(role -> colours.put(role.name(), role.colour()));
        List<SharedCue> cues = new ArrayList<>();
        double seconds = 0;
        for (DeliveredCue cue : delivered) {
            Take take = kept.get(cue.take());
            seconds = Math.max(seconds, cue.start().plus(cue.length()).seconds());
            if (take != null) {
                cues.add(new SharedCue(
                        cue.cue(),
                        take,
                        cue.number(),
                        cue.scene(),
                        cue.role(),
                        colours.getOrDefault(cue.role(), 0),
                        cue.offsetDb(),
                        cue.start().seconds(),
                        cue.length().seconds(),
                        cue.heard()));
            }
        }
        int newest =
                deliveries.newest(delivery.projectId()).map(Delivery::ordinal).orElse(0);
        return new SharedProgramme(
                view.project().name(),
                delivery.ordinal(),
                newest > delivery.ordinal() ? newest : 0,
                delivery.targetLufs(),
                cues,
                seconds,
                deliveries.laidOut(delivery.id()).orElse(LaidOut.NOTHING));
    }

    private Map<UUID, Take> takes(Collection<UUID> wanted) {
        return takes.all(wanted).stream().collect(Collectors.toMap(Take::id, take -> take, (one, same) -> one));
    }
}
