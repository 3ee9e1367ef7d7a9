package org.logophon.cli;

import java.util.List;
import org.logophon.core.review.proof.Finding;
import org.logophon.core.review.proof.Suggestion;

/** What {@code check --json} prints. */
record CheckReport(List<FindingEntry> findings, List<String> warnings) {

    /**
     * @param start    UTF-16 index in the cue's text, to {@code end}
     * @param said     how it is said as it stands; empty where nothing wrong is heard
     * @param sureness of the rule that says a written form; null for what is none
     * @param wouldSay as {@code said}: its earlier name
     */
    record FindingEntry(
            String cue,
            int start,
            int end,
            String text,
            String kind,
            String reason,
            String said,
            String sureness,
            String wouldSay,
            List<String> suggestions) {

        static FindingEntry of(String number, Finding finding) {
            return new FindingEntry(
                    number,
                    finding.start(),
                    finding.end(),
                    finding.text(),
                    finding.kind().label(),
                    finding.reason(),
                    finding.wouldSay(),
                    finding.sureness() == null ? null : finding.sureness().id(),
                    finding.wouldSay(),
                    finding.suggestions().stream().map(Suggestion::sentence).toList());
        }
    }
}
