package org.logophon.app.steps.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.SceneGapRepository;
import org.logophon.core.direction.Dial;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.time.place.SpareTime;
import org.logophon.core.time.place.SpareTime.Gap;
import org.logophon.core.time.place.SpareTime.Way;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sets silence between cues: at the ends of scenes, and where a programme leaves room until its target. */
@Service
class GapService {

    /** A gap that grows by less isn't worth a change. */
    private static final int LEAST_MILLIS = 10;

    private final Projects projects;
    private final ProjectRepository table;
    private final SceneGapRepository scenes;
    private final PlaceService placing;

    GapService(Projects projects, ProjectRepository table, SceneGapRepository scenes, PlaceService placing) {
        this.projects = projects;
        this.table = table;
        this.scenes = scenes;
        this.placing = placing;
    }

    /** @param millis null for none of its own */
    record SceneGap(String scene, Integer millis) {}

    /**
     * @param spare seconds until the target.
     * @param left of them, that the limit leaves.
     * @param gaps seconds each, before and after
     */
    record Spread(double spare, double left, List<WidenedGap> gaps) {}

    /** @param number of the cue before it */
    record WidenedGap(String number, double before, double after) {}

    List<SceneGap> scenes(UUID project) {
        Map<String, Integer> own = scenes.of(project);
        return projects.view(project).cues().stream()
                .map(cue -> cue.cue().scene())
                .filter(scene -> !scene.isEmpty())
                .distinct()
                .map(scene -> new SceneGap(scene, own.get(scene)))
                .toList();
    }

    @Transactional
    public void setScene(UUID project, String scene, String seconds) {
        table.hold(project);
        boolean there = projects.view(project).cues().stream()
                .anyMatch(cue -> cue.cue().scene().equals(scene));
        if (!there) {
            throw new Refused("This scene no longer exists. Reload the page.");
        }
        scenes.set(project, scene, millis("The gap at a scene's end", seconds));
        table.touch(project);
    }

    private static Integer millis(String what, String seconds) {
        Double typed = TypedNumber.read(what, seconds);
        if (typed == null) {
            return null;
        }
        Dial.PAUSE.check(what, typed * 1_000);
        return (int) Math.round(typed * 1_000);
    }

    private record Room(ProjectView view, Programme<CueView> programme, SampleCount spare, List<SampleCount> wider) {}

    private Room room(UUID project, Way way, String most) {
        ProjectView view = projects.view(project);
        Programme<CueView> programme = view.programme();
        Integer target = view.project().targetSeconds();
        if (target == null) {
            throw new Refused("The programme has no target length. Set it on Write.");
        }
        boolean follows = view.cues().stream()
                .allMatch(cue -> cue.cue()
                                .place()
                                .placement(cue.cue().slot(), view.project().picture())
                        instanceof Placement.Follow);
        if (!follows) {
            throw new Refused("Fixed cues and cues in slots have no gaps to widen. Let them follow first.");
        }
        Integer limit = millis("The longest gap", most);
        SampleCount longest = SampleCount.ofMillis(limit == null ? Dial.PAUSE.most() : limit);
        List<Gap> gaps = new ArrayList<>();
        for (int i = 0; i + 1 < programme.clips().size(); i++) {
            String scene = programme.clips().get(i).cue().cue().scene();
            boolean ends = !programme.clips().get(i + 1).cue().cue().scene().equals(scene);
            gaps.add(new Gap(programme.clips().get(i).gap(), ends));
        }
        // each clip may start later by a frame: that much is kept back
        long kept = view.project().picture().rate() == null
                ? 0
                : gaps.size() * view.project().picture().rate().firstSample(1, SampleCount.RATE);
        SampleCount spare = SampleCount.ofMillis(target * 1_000L).minus(programme.length());
        SampleCount share = new SampleCount(Math.max(0, spare.samples() - kept));
        return new Room(view, programme, spare, SpareTime.spread(gaps, share, longest, way));
    }

    Spread preview(UUID project, Way way, String most) {
        Room room = room(project, way, most);
        List<WidenedGap> lines = new ArrayList<>();
        double given = 0;
        for (int i = 0; i < room.wider().size(); i++) {
            var clip = room.programme().clips().get(i);
            double after = room.wider().get(i).seconds();
            given += after - clip.gap().seconds();
            if (after - clip.gap().seconds() >= LEAST_MILLIS / 1_000.0) {
                lines.add(new WidenedGap(clip.cue().number(), clip.gap().seconds(), after));
            }
        }
        double spare = Math.max(0, room.spare().seconds());
        return new Spread(spare, Math.max(0, spare - given), lines);
    }

    /** @return how many gaps are longer */
    @Transactional
    public int spread(UUID project, Way way, String most) {
        table.hold(project);
        Room room = room(project, way, most);
        List<CueView> changed = new ArrayList<>();
        List<StoredPlace> after = new ArrayList<>();
        for (int i = 0; i < room.wider().size(); i++) {
            var clip = room.programme().clips().get(i);
            int millis = (int) (room.wider().get(i).samples() / (SampleCount.RATE / 1_000));
            if (millis - clip.gap().millis() >= LEAST_MILLIS) {
                CueView cue = clip.cue();
                changed.add(cue);
                after.add(new StoredPlace(cue.id(), cue.cue().place(), cue.cue().slot(), millis));
            }
        }
        if (changed.isEmpty()) {
            throw new Refused(
                    "There is no time to spread: the programme has its target length, or every gap is at its limit.");
        }
        placing.change(project, "spare time", changed, after);
        return changed.size();
    }
}
