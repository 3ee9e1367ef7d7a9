package org.logophon.app.steps.write.proof;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.logophon.app.platform.web.CsvAnswer;
import org.logophon.app.platform.web.DoneAnswer;
import org.logophon.app.steps.write.proof.ProofService.PlacedFinding;
import org.logophon.core.input.table.SafeCell;
import org.logophon.core.review.proof.Finding;
import org.logophon.core.review.proof.FindingKind;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Findings of a script, and what is done about them. */
@RestController
@RequestMapping("/projects/{id}/proof")
class ProofController {

    private final ProofService proofing;
    private final SuggestionApplier taking;

    ProofController(ProofService proofing, SuggestionApplier taking) {
        this.proofing = proofing;
        this.taking = taking;
    }

    /**
     * A finding as the page shows it.
     *
     * @param start    in the script
     * @param from     in the cue's text
     * @param sureness of the rule that says it; null for what is no written form
     */
    record FindingView(
            UUID cue,
            String number,
            int start,
            int end,
            int from,
            int to,
            String text,
            String kind,
            String title,
            String reason,
            String wouldSay,
            List<FindingAction> suggestions,
            boolean right,
            String sureness) {}

    /** A suggestion with what its button says. */
    record FindingAction(String act, String text, int at, String label) {}

    /** @param right how many are said as they should be; they are listed only when all are asked for */
    record Findings(int version, List<FindingView> findings, int right, int dismissed) {}

    /** What to do about findings of one version. */
    record TakenSuggestions(int version, List<SuggestionApplier.Item> items) {
        TakenSuggestions {
            items = List.copyOf(items);
        }
    }

    /** @param cue null for everywhere */
    record Dismiss(UUID cue, FindingKind kind, String text) {
        Dismiss {
            Objects.requireNonNull(kind);
            Objects.requireNonNull(text);
        }
    }

    /** @param shown how many come back */
    record ShownAnswer(int shown) {}

    /** @param all true for what is said right too */
    @GetMapping
    Findings findings(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean all) {
        ProofService.Result result = proofing.of(id);
        long right =
                result.found().stream().filter(found -> found.finding().right()).count();
        return new Findings(
                result.version(),
                result.found().stream()
                        .filter(found -> all || !found.finding().right())
                        .map(ProofController::shown)
                        .toList(),
                (int) right,
                result.dismissed());
    }

    private static FindingView shown(PlacedFinding found) {
        Finding finding = found.finding();
        int start = found.place().sourceAt(finding.start());
        int end = finding.end() == 0 ? start : found.place().sourceAt(finding.end() - 1) + 1;
        return new FindingView(
                found.cue().id(),
                found.cue().number(),
                start,
                end,
                finding.start(),
                finding.end(),
                finding.text(),
                finding.kind().name(),
                finding.kind().label(),
                finding.reason(),
                finding.wouldSay(),
                finding.suggestions().stream()
                        .map(s -> new FindingAction(s.act().name(), s.text(), s.at(), s.sentence()))
                        .toList(),
                finding.right(),
                sureness(finding));
    }

    private static String sureness(Finding finding) {
        return finding.sureness() == null ? null : finding.sureness().id();
    }

    /** What is said by rule, as a table. */
    @GetMapping("/said.csv")
    ResponseEntity<byte[]> said(@PathVariable UUID id) {
        return CsvAnswer.of(
                "said-by-rule.csv",
                csv -> {
                    for (PlacedFinding found : proofing.of(id).found()) {
                        Finding finding = found.finding();
                        if (finding.right()) {
                            csv.printRecord(
                                    SafeCell.of(found.cue().number()),
                                    SafeCell.of(finding.text()),
                                    SafeCell.of(finding.wouldSay()),
                                    finding.kind().label(),
                                    sureness(finding));
                        }
                    }
                },
                "cue",
                "written",
                "said",
                "kind",
                "sureness");
    }

    @PostMapping("/take")
    Object take(@PathVariable UUID id, @RequestBody TakenSuggestions take) {
        return taking.take(id, take.version(), take.items() == null ? List.of() : take.items());
    }

    @PostMapping("/dismiss")
    DoneAnswer dismiss(@PathVariable UUID id, @RequestBody Dismiss dismiss) {
        proofing.dismiss(id, dismiss.cue(), dismiss.kind(), dismiss.text());
        return new DoneAnswer();
    }

    @PostMapping("/show-again")
    ShownAnswer showAgain(@PathVariable UUID id) {
        return new ShownAnswer(proofing.showAgain(id));
    }
}
