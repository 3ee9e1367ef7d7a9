package org.logophon.app.steps.listen;

import static org.logophon.app.platform.table.Columns.instant;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeChoice;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.rendering.TakeSound;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whole programmes to compare by ear: the kept takes, and others of the same cues. */
@RestController
@RequestMapping("/projects/{id}/listen/versions")
class VersionController {

    private final Projects projects;
    private final TakeRepository takes;
    private final JdbcClient jdbc;

    VersionController(Projects projects, TakeRepository takes, JdbcClient jdbc) {
        this.projects = projects;
        this.takes = takes;
        this.jdbc = jdbc;
    }

    /** A programme that can be heard. @param id for addresses */
    record Version(String id, String name) {}

    /** What a cue sounds like in another version. */
    record Other(UUID take, String name, String sound, String score) {}

    private record Delivered(int ordinal, Instant at) {}

    @GetMapping
    List<Version> all(@PathVariable UUID id) {
        List<Version> versions = new ArrayList<>();
        versions.add(new Version("newest", "the newest takes"));
        versions.add(new Version("shortest", "the shortest takes"));
        versions.add(new Version("starred", "the starred takes"));
        deliveries(id).forEach(d -> versions.add(new Version("delivery-" + d.ordinal(), "Delivery " + d.ordinal())));
        return versions;
    }

    /** The cues that sound otherwise there, each with its take. */
    @GetMapping("/{which}")
    Map<UUID, Other> version(@PathVariable UUID id, @PathVariable String which) {
        ProjectView view = projects.view(id);
        Map<UUID, UUID> chosen = chosen(id, which);
        Map<UUID, CueView> cues = new HashMap<>();
        for (CueView cue : view.cues()) {
            UUID other = chosen.get(cue.id());
            if (other != null && !other.equals(cue.keptTake())) {
                cues.put(other, cue);
            }
        }
        Map<UUID, Other> others = new HashMap<>();
        for (Take take : takes.all(cues.keySet())) {
            CueView cue = cues.get(take.id());
            others.put(cue.id(), other(view, cue, take));
        }
        return others;
    }

    private static Other other(ProjectView view, CueView cue, Take take) {
        String address = "/projects/" + view.id() + "/takes/" + take.id();
        return new Other(
                take.id(),
                take.name(),
                address + "/even/" + TakeSound.evenStamp(take.sound(), view.project(), cue) + ".wav",
                address + "/score");
    }

    private Map<UUID, UUID> chosen(UUID project, String which) {
        for (TakeChoice choice : TakeChoice.values()) {
            if (choice.name().toLowerCase(Locale.ROOT).equals(which)) {
                return takes.chosen(project, choice, "");
            }
        }
        return deliveries(project).stream()
                .filter(delivery -> which.equals("delivery-" + delivery.ordinal()))
                .findFirst()
                .map(delivery -> takes.keptAt(project, delivery.at()))
                .orElseThrow(() -> new NotFound("This version doesn't exist. Choose one from the list."));
    }

    private List<Delivered> deliveries(UUID project) {
        return jdbc.sql("select ordinal, created_at from delivery where project_id = :project and state = "
                        + "'ready' order by ordinal desc limit 20")
                .param("project", project)
                .query((row, at) -> new Delivered(row.getInt("ordinal"), instant(row, "created_at")))
                .list();
    }
}
