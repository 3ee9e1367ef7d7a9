package org.logophon.app.steps.sounds;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.BedRepository;
import org.logophon.app.services.project.bed.ProjectBed;
import org.logophon.core.time.bed.Bed;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lies under stretches of a project's programme. */
@Service
class Beds {

    private static final int MOST = 100;
    /** Where nobody has said anything. Ours. */
    private static final Bed.Settings USUAL = new Bed.Settings(true, 2_000, 3_000, Bed.USUAL_LEVEL_DB, 6);

    private final Projects projects;
    private final ProjectRepository table;
    private final SoundLists sounds;
    private final BedRepository beds;

    Beds(Projects projects, ProjectRepository table, SoundLists sounds, BedRepository beds) {
        this.projects = projects;
        this.table = table;
        this.sounds = sounds;
        this.beds = beds;
    }

    /**
     * What is to be another; null for as it was.
     *
     * @param from   number of the cue that it begins with; empty for the programme's start
     * @param to     number of the cue that it ends with; empty for the programme's end
     * @param fadeIn seconds
     * @param level  dB against the voice while somebody speaks
     * @param rise   dB that it is louder while nobody does
     */
    record Change(
            UUID sound,
            String from,
            String to,
            Boolean looped,
            Double fadeIn,
            Double fadeOut,
            Double level,
            Double rise) {}

    @Transactional
    public ProjectBed add(UUID project, Change asked) {
        projects.require(project);
        table.hold(project);
        if (asked.sound() == null) {
            throw new Refused("Choose a sound for the bed.");
        }
        if (beds.of(project).size() >= MOST) {
            throw new Refused("A project has at most " + MOST + " beds. Remove unused ones.");
        }
        ProjectBed bed = changed(new ProjectBed(UUID.randomUUID(), project, asked.sound(), null, null, USUAL), asked);
        beds.save(bed);
        return bed;
    }

    @Transactional
    public ProjectBed change(UUID project, UUID id, Change asked) {
        table.hold(project);
        ProjectBed bed = changed(require(project, id), asked);
        beds.save(bed);
        return bed;
    }

    ProjectBed require(UUID project, UUID id) {
        return beds.find(project, id).orElseThrow(() -> new NotFound("This bed no longer exists. Reload the page."));
    }

    private ProjectBed changed(ProjectBed bed, Change asked) {
        Bed.Settings was = bed.settings();
        UUID sound = asked.sound() == null ? bed.sound() : asked.sound();
        sounds.require(bed.project(), sound);
        List<CueView> cues = projects.view(bed.project()).cues();
        UUID from = asked.from() == null ? bed.fromCue() : cue(cues, asked.from());
        UUID to = asked.to() == null ? bed.toCue() : cue(cues, asked.to());
        if (from != null && to != null && place(cues, to) < place(cues, from)) {
            throw new Refused("A bed ends with the cue that it begins with, or with a later one.");
        }
        return new ProjectBed(
                bed.id(),
                bed.project(),
                sound,
                from,
                to,
                new Bed.Settings(
                        asked.looped() == null ? was.looped() : asked.looped(),
                        asked.fadeIn() == null ? was.fadeInMillis() : millis(asked.fadeIn()),
                        asked.fadeOut() == null ? was.fadeOutMillis() : millis(asked.fadeOut()),
                        asked.level() == null ? was.levelDb() : asked.level(),
                        asked.rise() == null ? was.riseDb() : asked.rise()));
    }

    private static int millis(double seconds) {
        return (int) Math.round(Math.max(-1, Math.min(seconds, Bed.MOST_FADE_MILLIS)) * 1_000);
    }

    private static UUID cue(List<CueView> cues, String number) {
        String wanted = number.strip();
        if (wanted.isEmpty()) {
            return null;
        }
        return cues.stream()
                .filter(cue -> cue.number().equalsIgnoreCase(wanted))
                .findFirst()
                .map(CueView::id)
                .orElseThrow(() -> new Refused("There is no cue " + wanted + ". Type the number of one, or nothing."));
    }

    /** A cue that has left the script comes after all of them. */
    private static int place(List<CueView> cues, UUID id) {
        for (int i = 0; i < cues.size(); i++) {
            if (cues.get(i).id().equals(id)) {
                return i;
            }
        }
        return cues.size();
    }

    @Transactional
    public void remove(UUID project, UUID id, boolean removed) {
        ProjectBed bed = require(project, id);
        if (!removed) {
            sounds.require(project, bed.sound());
        }
        beds.remove(id, removed);
    }
}
