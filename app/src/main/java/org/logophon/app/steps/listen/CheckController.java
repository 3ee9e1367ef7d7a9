package org.logophon.app.steps.listen;

import java.util.UUID;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.core.voice.check.TakeFinding;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What an ear would stumble over, in all kept takes. */
@RestController
@RequestMapping("/projects/{id}/listen")
class CheckController {

    private final TakeChecks checks;
    private final CheckRepository table;
    private final TakeKeeping takes;

    CheckController(TakeChecks checks, CheckRepository table, TakeKeeping takes) {
        this.checks = checks;
        this.table = table;
        this.takes = takes;
    }

    @GetMapping("/check")
    TakeChecks.Checked check(@PathVariable UUID id) {
        return checks.check(id);
    }

    @PostMapping("/takes/{take}/dismiss")
    SentenceAnswer dismiss(
            @PathVariable UUID id,
            @PathVariable UUID take,
            @RequestParam TakeFinding.Kind kind,
            @RequestParam int start) {
        table.dismiss(takes.require(id, take).speech(), kind.id(), start);
        return new SentenceAnswer("Ignored.");
    }

    @PostMapping("/check/show")
    SentenceAnswer show(@PathVariable UUID id) {
        int shown = table.clear(id);
        return new SentenceAnswer(shown == 1 ? "1 is shown again." : shown + " are shown again.");
    }
}
