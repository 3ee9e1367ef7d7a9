package org.logophon.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.project.Cue;
import org.logophon.app.project.CueRepository;
import org.logophon.app.project.MarkRepository;
import org.logophon.app.project.ProjectRepository;
import org.logophon.app.project.RoleRepository;
import org.logophon.app.rendering.RenderService;
import org.logophon.app.write.ScriptSaving;
import org.logophon.core.direction.Direction;
import org.logophon.core.mark.Instruction;
import org.logophon.core.mark.Mark;
import org.logophon.core.mark.Marks;
import org.logophon.core.suggest.QuotedSpeech;
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

    private final DemoPlaced placed;
    private final ProjectRepository projects;
    private final RoleRepository roles;
    private final CueRepository cues;
    private final MarkRepository marks;
    private final ScriptSaving scripts;
    private final RenderService rendering;
    private final DemoListening listening;

    DemoProjects(
            DemoPlaced placed,
            ProjectRepository projects,
            RoleRepository roles,
            CueRepository cues,
            MarkRepository marks,
            ScriptSaving scripts,
            RenderService rendering,
            DemoListening listening) {
        this.placed = placed;
        this.projects = projects;
        this.roles = roles;
        this.cues = cues;
        this.marks = marks;
        this.scripts = scripts;
        this.rendering = rendering;
        this.listening = listening;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Transactional
    void place() throws IOException {
        Direction pottery = new Direction(94, null, null, 800);
        place(
                "Wheel True",
                50,
                "wheel-true",
                Map.of("Narrator", "percy", "Sprecherin", "frauke"),
                Direction.NONE,
                "",
                Direction.NONE);
        place("First Firing", 240, "first-firing", Map.of("Narrator", "ida"), pottery, "", Direction.NONE);
        UUID film = place(
                "The Lantern Room",
                360,
                "the-lantern-room",
                Map.of("Narrator", "nessa", "Keeper", "gawen", "Visitor", "esme"),
                new Direction(90, null, null, 1_200),
                "Keeper",
                new Direction(95, null, null, null));
        if (film != null) {
            listening.begin(film);
        }
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
        UUID project = projects.create(name, "en-GB", targetSeconds).id();
        scripts.save(project, text(script), 0, "Demo script");
        cast.forEach((who, voice) -> roles.cast(project, who, voice));
        projects.direct(project, whole, 0);
        if (!directedRole.isEmpty()) {
            roles.direct(project, directedRole, role, 1);
        }
        cues.of(project).forEach(this::mark);
        rendering.renderChanged(project, 0);
        return project;
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
        try (InputStream in = DemoProjects.class.getResourceAsStream("/demo/" + script + ".md")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
