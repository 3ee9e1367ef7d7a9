package org.logophon.app.services.live;

import java.util.List;
import java.util.UUID;
import org.logophon.app.services.project.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;
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
    SseEmitter ofProject(
            @PathVariable UUID id, @RequestHeader(defaultValue = MediaType.ALL_VALUE) List<MediaType> accept) {
        streamed(accept);
        projects.require(id);
        return streams.open(id);
    }

    @GetMapping({"/events", "/workspaces/{workspace}/events"})
    SseEmitter ofShelf(@RequestHeader(defaultValue = MediaType.ALL_VALUE) List<MediaType> accept) {
        streamed(accept);
        return streams.open(null);
    }

    /**
     * Looked at here, and not where addresses are chosen: whether somebody may listen is decided before what they take.
     */
    private static void streamed(List<MediaType> accept) {
        if (accept.stream().noneMatch(MediaType.TEXT_EVENT_STREAM::isCompatibleWith)) {
            throw new ResponseStatusException(HttpStatus.NOT_ACCEPTABLE);
        }
    }
}
