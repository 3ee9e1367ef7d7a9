package org.logophon.app.steps.place;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.core.time.place.SpareTime.Way;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Gaps: at the ends of scenes, and room that is spread over all of them. */
@RestController
@RequestMapping("/projects/{id}/place")
class GapController {

    private final GapService gaps;

    GapController(GapService gaps) {
        this.gaps = gaps;
    }

    @GetMapping("/scenes")
    List<GapService.SceneGap> scenes(@PathVariable UUID id) {
        return gaps.scenes(id);
    }

    /** @param seconds empty for none of its own */
    @PostMapping("/scenes")
    SentenceAnswer scene(
            @PathVariable UUID id, @RequestParam String scene, @RequestParam(defaultValue = "") String seconds) {
        gaps.setScene(id, scene, seconds);
        return new SentenceAnswer(seconds.isBlank() ? "Default gap restored." : "Gap at the scene’s end set.");
    }

    @GetMapping("/spare")
    GapService.Spread spare(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "EVENLY") Way way,
            @RequestParam(defaultValue = "2") String most) {
        return gaps.preview(id, way, most);
    }

    @PostMapping("/spare")
    SentenceAnswer spread(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "EVENLY") Way way,
            @RequestParam(defaultValue = "2") String most) {
        int changed = gaps.spread(id, way, most);
        return new SentenceAnswer((changed == 1 ? "1 gap is" : changed + " gaps are") + " longer. Ctrl Z undoes it.");
    }
}
