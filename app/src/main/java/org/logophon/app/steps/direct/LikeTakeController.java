package org.logophon.app.steps.direct;

import java.util.UUID;
import org.logophon.app.platform.web.SentenceAnswer;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Directing a cue like one of its takes, and like its role again. */
@RestController
@RequestMapping("/projects/{id}")
class LikeTakeController {

    private final LikeTakes takes;

    LikeTakeController(LikeTakes takes) {
        this.takes = takes;
    }

    @PostMapping("/takes/{take}/like")
    SentenceAnswer like(@PathVariable UUID id, @PathVariable UUID take) {
        takes.like(id, take);
        return new SentenceAnswer("Direction of that take applied. Ctrl Z on Direct undoes it.");
    }

    @PostMapping("/cues/{cue}/follow")
    SentenceAnswer follow(@PathVariable UUID id, @PathVariable UUID cue) {
        takes.follow(id, cue);
        return new SentenceAnswer("It follows its role again.");
    }
}
