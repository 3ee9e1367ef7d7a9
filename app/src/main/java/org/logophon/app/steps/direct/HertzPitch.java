package org.logophon.app.steps.direct;

import java.util.List;
import java.util.Locale;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.phrasing.PhraseMove;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.signal.pitch.PitchTrack;
import org.springframework.stereotype.Component;

/**
 * A pitch that is asked for in Hz, as the change that brings it about: what the words have now is measured on the kept
 * take.
 */
@Component
class HertzPitch {

    private final SpeechRepository speeches;

    HertzPitch(SpeechRepository speeches) {
        this.speeches = speeches;
    }

    /**
     * @param wanted as typed: "180 Hz"
     * @return semitones for a mark on these words
     * @throws Refused with a sentence when it is no pitch, or the words have none yet
     */
    String semitones(CueView cue, int start, int end, String wanted) {
        Double hertz = TypedNumber.read(
                "A pitch such as 180 Hz",
                wanted.strip().toLowerCase(Locale.ROOT).replace("hz", ""));
        if (hertz == null || hertz < 40 || hertz > 1_000) {
            throw new Refused("A voice's pitch lies between 40 and 1,000 Hz.");
        }
        if (!cue.madeAsAsked()) {
            throw new Refused("The pitch of these words is unknown. Render the cue first, then ask for "
                    + Math.round(hertz) + " Hz.");
        }
        double now = median(
                speeches.ofRecipe(cue.recipeHash())
                        .orElseThrow(() -> new Refused("This take no longer exists. Render the cue, then ask again.")),
                start,
                end);
        if (now == 0) {
            throw new Refused("These words have no pitch to change: they are whispered, or too short.");
        }
        // what stands on just these words, of marks or of phrasing, is replaced by the new mark
        double already = cue.marks().heard().stream()
                .filter(mark -> mark.start() == start && mark.end() == end)
                .map(Mark::instruction)
                .mapToDouble(instruction -> instruction instanceof Instruction.Pitch pitch ? pitch.semitones() : 0)
                .sum();
        double phrased = PhrasedCue.parts(cue).stream()
                .filter(part -> part.start() == start && part.end() == end)
                .mapToDouble(part -> part.move() instanceof PhraseMove.Span span ? span.semitones() : 0)
                .sum();
        return String.format(Locale.ROOT, "%.2f", already + phrased + PitchTrack.semitones(now, hertz));
    }

    private static double median(StoredSpeech speech, int start, int end) {
        List<double[]> spans = speech.timed().stream()
                .filter(word -> word.start() >= start && word.end() <= end)
                .map(word -> new double[] {
                    word.startSample() / (double) speech.sound().rate(),
                    word.endSample() / (double) speech.sound().rate()
                })
                .toList();
        float[] inside = new float[speech.pitch().length];
        for (int i = 0; i < inside.length; i++) {
            double at = i * PitchTrack.HOP_SECONDS;
            inside[i] = spans.stream().anyMatch(span -> at >= span[0] && at < span[1]) ? speech.pitch()[i] : 0;
        }
        return new PitchTrack(inside).medianHz();
    }
}
