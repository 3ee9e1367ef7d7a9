package org.logophon.app.steps.sounds;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.BedRepository;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.bed.OwnSound;
import org.logophon.app.services.project.bed.OwnSoundRepository;
import org.logophon.app.services.project.bed.ProjectBed;
import org.logophon.app.services.rendering.Layers;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.time.programme.SampleCount;
import org.springframework.stereotype.Component;

/** Everything that the page of sounds and beds shows. */
@Component
class BedTable {

    private final Projects projects;
    private final OwnSoundRepository sounds;
    private final BedRepository beds;
    private final Layers layers;

    BedTable(Projects projects, OwnSoundRepository sounds, BedRepository beds, Layers layers) {
        this.projects = projects;
        this.sounds = sounds;
        this.beds = beds;
        this.layers = layers;
    }

    record Table(List<SoundLine> sounds, List<BedLine> beds, List<GapLine> gaps) {}

    /**
     * A sound of the lists.
     *
     * @param list  {@code project}, {@code workspace}, or {@code along} for what comes with Logophon
     * @param whole seconds of its file
     * @param uses  in how many places of this project it is heard
     * @param heard address of what is used of it
     */
    record SoundLine(
            UUID id,
            String name,
            String licence,
            String list,
            double whole,
            double from,
            double to,
            double ownDb,
            int uses,
            String heard) {}

    /**
     * A bed.
     *
     * @param from    number of the cue that it begins with; empty for the programme's start
     * @param start   seconds of the programme; with {@code end} the same for one that isn't heard
     * @param problem why it isn't heard; empty for nothing
     */
    record BedLine(
            UUID id,
            UUID sound,
            String name,
            String from,
            String to,
            boolean looped,
            double fadeIn,
            double fadeOut,
            double level,
            double rise,
            double start,
            double end,
            String problem) {}

    /** A sound in a gap. @param mark where it stands in its cue's text @param after the word before it */
    record GapLine(
            UUID cue,
            String number,
            int start,
            int end,
            String after,
            String name,
            double seconds,
            double level,
            String problem) {}

    Table of(UUID id) {
        ProjectView view = projects.view(id);
        List<OwnSound> known = sounds.of(id);
        List<ProjectBed> own = beds.of(id);
        List<GapLine> gaps = gaps(view, known);
        return new Table(
                known.stream().map(sound -> line(id, sound, own, gaps)).toList(), lines(view, own, known), gaps);
    }

    private static SoundLine line(UUID project, OwnSound sound, List<ProjectBed> beds, List<GapLine> gaps) {
        double rate = sound.sound().rate();
        long uses = beds.stream().filter(bed -> bed.sound().equals(sound.id())).count()
                + gaps.stream()
                        .filter(gap -> gap.name().equalsIgnoreCase(sound.name()))
                        .count();
        return new SoundLine(
                sound.id(),
                sound.name(),
                sound.licence(),
                sound.shipped() ? "along" : sound.project() == null ? "workspace" : "project",
                sound.sound().seconds(),
                sound.from() / rate,
                sound.to() / rate,
                sound.ownDb(),
                (int) uses,
                "/projects/" + project + "/beds/sounds/" + sound.id() + "/" + sound.from() + "-" + sound.to() + "_"
                        + String.format(Locale.ROOT, "%.2f", sound.ownDb()) + ".wav");
    }

    private List<BedLine> lines(ProjectView view, List<ProjectBed> own, List<OwnSound> known) {
        Map<UUID, String> names = known.stream().collect(Collectors.toMap(OwnSound::id, OwnSound::name));
        Map<UUID, String> numbers = view.cues().stream().collect(Collectors.toMap(CueView::id, CueView::number));
        List<BedLine> lines = new ArrayList<>();
        for (ProjectBed bed : own) {
            LaidOut.BedAt at = layers.at(view, bed, known).orElse(null);
            lines.add(new BedLine(
                    bed.id(),
                    bed.sound(),
                    names.getOrDefault(bed.sound(), ""),
                    bed.fromCue() == null ? "" : numbers.getOrDefault(bed.fromCue(), "–"),
                    bed.toCue() == null ? "" : numbers.getOrDefault(bed.toCue(), "–"),
                    bed.settings().looped(),
                    bed.settings().fadeInMillis() / 1_000.0,
                    bed.settings().fadeOutMillis() / 1_000.0,
                    bed.settings().levelDb(),
                    bed.settings().riseDb(),
                    at == null ? 0 : new SampleCount(at.from()).seconds(),
                    at == null ? 0 : new SampleCount(at.to()).seconds(),
                    at != null
                            ? ""
                            : names.containsKey(bed.sound())
                                    ? "One of its cues was removed from the script. Type another number."
                                    : "Its sound was removed. Choose another."));
        }
        return lines;
    }

    private static List<GapLine> gaps(ProjectView view, List<OwnSound> known) {
        List<GapLine> lines = new ArrayList<>();
        for (CueView cue : view.cues()) {
            for (Mark mark : cue.marks().sounds()) {
                Instruction.OwnSound sound = (Instruction.OwnSound) mark.instruction();
                boolean there = known.stream().anyMatch(one -> one.name().equalsIgnoreCase(sound.name()));
                lines.add(new GapLine(
                        cue.id(),
                        cue.number(),
                        mark.start(),
                        mark.end(),
                        cue.cue().text().substring(mark.start(), mark.end()),
                        sound.name(),
                        sound.millis() / 1_000.0,
                        sound.levelDb(),
                        there
                                ? cue.keptTake() == null ? "Heard once its cue is rendered." : ""
                                : "No sound has this name. The gap stays silent."));
            }
        }
        return lines;
    }
}
