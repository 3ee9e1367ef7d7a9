package org.logophon.app.services.project;

import org.logophon.core.text.estimate.SpeakingRate;
import org.logophon.core.voice.figures.SpeakingRateTable;
import org.springframework.stereotype.Component;

/** How long the slowest of a project's voices takes for what an average voice says in a second. */
@Component
public class ProjectTempo {

    private final SpeakingRates rates;

    ProjectTempo(SpeakingRates rates) {
        this.rates = rates;
    }

    /** Of the voices that speak in it, at the pace of their roles; 1 while nobody is cast. */
    public double of(ProjectView view) {
        return view.cues().stream()
                .filter(cue -> cue.recipe() != null && cue.cue().direction().pacePercent() == null)
                .mapToDouble(this::of)
                .max()
                .orElse(1);
    }

    private double of(CueView cue) {
        SpeakingRate rate = rates.of(cue.voice().baseId());
        return SpeakingRateTable.tempo(
                rate == null ? new SpeakingRate(1) : rate,
                cue.recipe().phrasingPercent(),
                cue.recipe().paceFactor());
    }
}
