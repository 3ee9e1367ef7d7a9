package org.logophon.app.steps.sounds;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.rendering.Layers;
import org.logophon.app.services.rendering.ProjectLayer;
import org.logophon.app.services.rendering.RangedAnswer;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What lies under a project's programme, for whoever plays it. */
@RestController
@RequestMapping("/projects/{id}/layer")
class LayerController {

    private final Projects projects;
    private final Layers layers;
    private final ProjectLayer sound;

    LayerController(Projects projects, Layers layers, ProjectLayer sound) {
        this.projects = projects;
        this.layers = layers;
        this.sound = sound;
    }

    /** @param address of its sound; null for none. @param seconds of it */
    record Address(String address, double seconds) {}

    @GetMapping
    Address address(@PathVariable UUID id) {
        ProjectView view = projects.view(id);
        LaidOut laid = layers.laidOut(view);
        return laid.empty()
                ? new Address(null, 0)
                : new Address(
                        "/projects/" + id + "/layer/" + sound.voices(view).stamp(laid) + ".wav",
                        laid.length(view.heard().length()).seconds());
    }

    @GetMapping("/{stamp}.wav")
    void sound(
            @PathVariable UUID id,
            @PathVariable String stamp,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletResponse response)
            throws IOException {
        ProjectView view = projects.view(id);
        LaidOut laid = layers.laidOut(view);
        if (laid.empty()) {
            throw new NotFound("This programme has no beds any more.");
        }
        CacheControl caching = stamp.equals(sound.voices(view).stamp(laid))
                ? CacheControl.maxAge(Duration.ofHours(12)).cachePrivate().immutable()
                : CacheControl.noStore();
        RangedAnswer.write(sound.wav(laid, sound.voices(view)), range, caching, response);
    }
}
