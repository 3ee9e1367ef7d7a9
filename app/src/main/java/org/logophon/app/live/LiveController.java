package org.logophon.app.live;

import java.util.UUID;
import org.logophon.app.project.Projects;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Streams of events: one a page. */
@RestController
class LiveController {

    private final LiveStreams streams;
    private final Projects projects;

    LiveController(LiveStreams streams, Projects projects) {
        this.streams = streams;
        this.projects = projects;
    }

    @GetMapping("/projects/{id}/events")
    SseEmitter ofProject(@PathVariable UUID id) {
        projects.require(id);
        return streams.open(id);
    }

    @GetMapping({"/events", "/workspaces/{workspace}/events"})
    SseEmitter ofShelf() {
        return streams.open(null);
    }
}
