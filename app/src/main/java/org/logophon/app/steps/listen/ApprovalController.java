package org.logophon.app.steps.listen;

import java.util.UUID;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.reviewing.Reviewing;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Approving cues. */
@RestController
@RequestMapping("/projects/{id}/cues/{cue}/approval")
class ApprovalController {

    private final Reviewing reviewing;

    ApprovalController(Reviewing reviewing) {
        this.reviewing = reviewing;
    }

    /** @param sound address of what was heard */
    @PostMapping
    SentenceAnswer approve(@PathVariable UUID id, @PathVariable UUID cue, @RequestParam String sound) {
        return new SentenceAnswer("Cue " + reviewing.approve(id, cue, sound) + " is approved.");
    }

    @PostMapping("/withdraw")
    SentenceAnswer withdraw(@PathVariable UUID id, @PathVariable UUID cue) {
        return new SentenceAnswer("The approval of cue " + reviewing.withdraw(id, cue) + " is withdrawn.");
    }
}
