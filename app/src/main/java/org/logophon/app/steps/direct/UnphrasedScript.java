package org.logophon.app.steps.direct;

import java.util.List;
import org.logophon.app.services.page.Durations;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.SpeakingRates;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.phrasing.PhrasedTime;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.estimate.TextTime;
import org.logophon.core.voice.RecordedVoice;

/**
 * A script that was made before there was phrasing: what would come of it.
 *
 * @param cues    that would be rendered anew
 * @param seconds that they would take longer, about
 */
record UnphrasedScript(int cues, double seconds) {

    /** Null where somebody has set its phrasing, or no cue would change. */
    static UnphrasedScript of(ProjectView view, SpeakingRates rates) {
        if (view.project().direction().phrasingPercent() != null) {
            return null;
        }
        List<CueView> cues =
                view.cues().stream().filter(UnphrasedScript::changes).toList();
        double seconds = cues.stream().mapToDouble(cue -> longer(cue, rates)).sum();
        return cues.isEmpty() ? null : new UnphrasedScript(cues.size(), seconds);
    }

    private static boolean changes(CueView cue) {
        return cue.recipe() != null
                && !cue.recipe().voice().engine().equals(RecordedVoice.ENGINE)
                && cue.cue().taken() == null
                && cue.cue().direction().phrasingPercent() == null
                && (cue.role() == null || cue.role().direction().phrasingPercent() == null);
    }

    private static double longer(CueView cue, SpeakingRates rates) {
        String text = cue.cue().text();
        String language = cue.recipe().voice().language();
        double reference =
                cue.cue().referenceSeconds() > 0 ? cue.cue().referenceSeconds() : ReferenceTime.seconds(text, language);
        TextTime time = PhrasedTime.of(text, language, reference);
        return rates.seconds(cue.recipe(), time, Dial.PHRASING.neutral()) - rates.seconds(cue.recipe(), time, 0);
    }

    public String sentence() {
        return (cues == 1 ? "1 cue changes" : cues + " cues change") + "; the programme gets about "
                + Durations.clock(Math.max(1, seconds)) + " longer.";
    }
}
