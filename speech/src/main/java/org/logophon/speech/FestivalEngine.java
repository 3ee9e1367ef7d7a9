package org.logophon.speech;

import org.logophon.core.voice.Making;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.worker.Frames;

/** Festival beside worker processes. It changes the pace of a whole text; pitch is left to the signal. */
final class FestivalEngine implements SpeechEngine {

    /** Debian's packages hold these versions for the life of a release. */
    private static final String VERSION = "festival 2.5.0";

    private static final String STATISTICAL_VERSION = VERSION + ", hts 2010";

    private static final long DEADLINE_MILLIS = 30_000;
    private static final long DEADLINE_MILLIS_PER_CHARACTER = 30;

    private final WorkerPool pool;

    FestivalEngine(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public String version(Voice voice) {
        return voice.making() == Making.STATISTICAL ? STATISTICAL_VERSION : VERSION;
    }

    @Override
    public double paceToAsk(Voice voice, double paceFactor) {
        return voice.making() == Making.STATISTICAL ? 1 : PaceShare.ofOneThatDragsWell(paceFactor);
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        NarrowText given = NarrowText.of(request.text(), FestivalVoices.charset(request.voice()));
        float pace = (float) Math.max(0.3, Math.min(3, request.paceFactor()));
        return pool.ask(
                out -> {
                    out.writeByte(Frames.SPEAK_FESTIVAL);
                    Frames.writeText(out, request.voice().engineVoice());
                    Frames.writeText(out, given.text());
                    out.writeFloat(pace);
                },
                in -> SpokenFrames.read(
                        in,
                        given::spokenAt,
                        request.voice().language().startsWith("en") ? PhonemeNames::arpabet : PhonemeNames::ascii),
                DEADLINE_MILLIS + DEADLINE_MILLIS_PER_CHARACTER * given.text().length());
    }
}
