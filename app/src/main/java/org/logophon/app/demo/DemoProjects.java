package org.logophon.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.node.AfterCommit;
import org.logophon.app.platform.people.Workspace;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CuePlace;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.bed.BedRepository;
import org.logophon.app.services.project.bed.OwnSoundRepository;
import org.logophon.app.services.project.bed.ProjectBed;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.steps.language.Versions;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.review.suggest.QuotedSpeech;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.bed.Bed;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.timecode.FrameRate;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Puts the made-up demo projects on the shelf, each once for the life of a data folder: also a deleted one isn't made
 * again.
 */
@Component
@ConditionalOnProperty(name = "logophon.demo", havingValue = "true")
class DemoProjects {

    /** Twelve shots of a course, cut before the voice was there: two of them are too short for what is said. */
    private static final int[] COURSE_MILLIS = {
        15_000, 14_200, 11_600, 12_400, 8_560, 10_800, 10_200, 10_400, 10_000, 13_600, 6_800, 11_200
    };

    private static final int COURSE_BETWEEN_MILLIS = 800;
    /**
     * Fifty seconds for a telephone held upright: what fits in English is longer in German, and one shot is too short
     * for it.
     */
    private static final int[] SHORT_MILLIS = {4_800, 4_900, 5_000, 3_200, 6_400, 6_400, 4_000, 5_200, 4_200, 4_100};

    private static final int SHORT_BETWEEN_MILLIS = 200;

    private final DemoPlaced placed;
    private final ProjectRepository projects;
    private final RoleRepository roles;
    private final CueRepository cues;
    private final MarkRepository marks;
    private final ScriptSaving scripts;
    private final RenderService rendering;
    private final Versions versions;
    private final OwnSoundRepository sounds;
    private final BedRepository beds;
    private final DemoListening listening;
    private final DemoDelivering delivering;

    DemoProjects(
            DemoPlaced placed,
            ProjectRepository projects,
            RoleRepository roles,
            CueRepository cues,
            MarkRepository marks,
            ScriptSaving scripts,
            RenderService rendering,
            Versions versions,
            OwnSoundRepository sounds,
            BedRepository beds,
            DemoListening listening,
            DemoDelivering delivering) {
        this.placed = placed;
        this.projects = projects;
        this.roles = roles;
        this.cues = cues;
        this.marks = marks;
        this.scripts = scripts;
        this.rendering = rendering;
        this.versions = versions;
        this.sounds = sounds;
        this.beds = beds;
        this.listening = listening;
        this.delivering = delivering;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Transactional
    void place() throws IOException {
        Direction pottery = new Direction(94, null, null, 800);
        UUID upright =
                place("Wheel True", 50, "wheel-true", Map.of("Narrator", "percy"), Direction.NONE, "", Direction.NONE);
        if (upright != null) {
            picture(upright, new Picture(FrameRate.named("30"), 0, 100), SHORT_MILLIS, SHORT_BETWEEN_MILLIS);
            german(upright);
            // who looks for a project before it is stored takes it for deleted
            AfterCommit.run(() -> delivering.begin(upright, "Go and ride it.", "Now ride it."));
        }
        UUID course =
                place("First Firing", 240, "first-firing", Map.of("Narrator", "ida"), pottery, "", Direction.NONE);
        if (course != null) {
            long start = 10 * FrameRate.DEFAULT.framesAnHour();
            picture(course, new Picture(FrameRate.DEFAULT, start, 200), COURSE_MILLIS, COURSE_BETWEEN_MILLIS);
        }
        UUID film = place(
                "The Lantern Room",
                360,
                "the-lantern-room",
                Map.of("Narrator", "nessa", "Keeper", "gawen", "Visitor", "esme"),
                new Direction(90, null, null, 1_200),
                "Keeper",
                new Direction(95, null, null, null));
        if (film != null) {
            wind(film);
            AfterCommit.run(() -> listening.begin(film));
        }
    }

    /** Outside, it blows: under the whole first scene, further away than the voice by far. */
    private void wind(UUID film) {
        List<Cue> all = cues.of(film);
        List<Cue> outside = all.stream()
                .filter(cue -> cue.scene().equals(all.get(0).scene()))
                .toList();
        sounds.of(film).stream()
                .filter(sound -> sound.shipped() && sound.name().equals("Wind"))
                .forEach(sound -> beds.save(new ProjectBed(
                        UUID.randomUUID(),
                        film,
                        sound.id(),
                        outside.get(0).id(),
                        outside.get(outside.size() - 1).id(),
                        new Bed.Settings(true, 3_000, 4_000, -24, 6))));
    }

    /** @return null when this data folder has or had it */
    private UUID place(
            String name,
            int targetSeconds,
            String script,
            Map<String, String> cast,
            Direction whole,
            String directedRole,
            Direction role)
            throws IOException {
        if (!placed.first(script)) {
            return null;
        }
        UUID project =
                projects.create(Workspace.FIRST, name, "en-GB", targetSeconds).id();
        scripts.save(project, text(script + ".md"), 0, "Demo script");
        cast.forEach((who, voice) -> roles.cast(project, who, voice));
        projects.direct(project, whole.phrased(Dial.PHRASING.neutral()), 0);
        if (!directedRole.isEmpty()) {
            roles.direct(project, directedRole, role, 1);
        }
        cues.of(project).forEach(this::mark);
        rendering.renderChanged(project, 0);
        return project;
    }

    /** Its German, by the voice that is deep and brisk as the other one is. */
    private void german(UUID first) throws IOException {
        UUID version = versions.make(first, "de");
        String[] said = text("wheel-true.de.txt").strip().split("\n\n");
        Map<UUID, String> words = new LinkedHashMap<>();
        cues.of(version).forEach(cue -> words.put(cue.id(), said[words.size()]));
        versions.sayAll(version, words, "Demo script");
        roles.cast(version, "Narrator", "volker");
        rendering.renderChanged(version, 0);
    }

    private void picture(UUID project, Picture picture, int[] shots, int between) {
        projects.setPicture(project, picture);
        List<Cue> course = cues.of(project);
        List<StoredPlace> places = new ArrayList<>();
        int in = 0;
        for (int i = 0; i < Math.min(course.size(), shots.length); i++) {
            places.add(new StoredPlace(
                    course.get(i).id(),
                    new CuePlace(CuePlace.Kind.SLOT, Anchor.START, 0, null),
                    new Slot(in, in + shots[i]),
                    null));
            in += shots[i] + between;
        }
        cues.setPlaces(places);
    }

    /** A quotation is said by the keeper whom it quotes, a line of Welsh by a Welsh voice. */
    private void mark(Cue cue) {
        String text = cue.text();
        QuotedSpeech.in(text, Marks.NONE).stream()
                .findFirst()
                .ifPresent(quoted -> marks.save(
                        cue.id(),
                        text,
                        QuotedSpeech.said(
                                Marks.NONE, text, quoted.start(), quoted.end(), QuotedSpeech.Voicing.ROLE, "Keeper")));
        if (text.startsWith("Goleuni")) {
            marks.save(
                    cue.id(), text, new Marks(List.of(Mark.own(0, text.length() - 1, new Instruction.Language("cy")))));
        }
    }

    private static String text(String script) throws IOException {
        try (InputStream in = DemoProjects.class.getResourceAsStream("/demo/" + script)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
