package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.RequestCuts.RequestPart;
import org.logophon.core.voice.render.Utterance.PhonemeStart;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * An engine that lets a voice with a limit speak longer texts: they are cut into requests, and the answers
 * are
 * brought to one level and joined with the pause that belongs between them. A limit is the software's business.
 */
public final class PiecewiseEngine implements SpeechEngine {

    /** A piece that is further off was meant so: a shout isn't made a murmur. */
    private static final double MOST_GAIN_DB = 6;

    private final SpeechEngine engine;

    public PiecewiseEngine(SpeechEngine engine) {
        this.engine = engine;
    }

    @Override
    public String version(Voice voice) {
        return engine.version(voice);
    }

    @Override
    public double paceToAsk(Voice voice, double paceFactor) {
        return engine.paceToAsk(voice, paceFactor);
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        if (fits(request)) {
            return engine.speak(request);
        }
        List<RequestPart> pieces = pieces(request);
        List<Utterance> spoken = new ArrayList<>();
        for (RequestPart piece : pieces) {
            spoken.add(engine.speak(of(request, piece)));
        }
        return joined(pieces, spoken);
    }

    /** What the engine under it is asked, in order. */
    public static List<SpeechRequest> requests(SpeechRequest request) {
        return fits(request)
                ? List.of(request)
                : pieces(request).stream().map(piece -> of(request, piece)).toList();
    }

    private static boolean fits(SpeechRequest request) {
        String text = request.text().text();
        int most = request.voice().terms().mostCharacters();
        return most == 0 || text.codePointCount(0, text.length()) <= most;
    }

    private static List<RequestPart> pieces(SpeechRequest request) {
        return RequestCuts.cut(
                request.text(),
                request.voice().terms().mostCharacters(),
                request.voice().language());
    }

    private static SpeechRequest of(SpeechRequest request, RequestPart piece) {
        return new SpeechRequest(
                request.voice(),
                piece.text(),
                request.paceFactor(),
                request.semitones(),
                request.style(),
                request.agreement());
    }

    private static Utterance joined(List<RequestPart> pieces, List<Utterance> spoken) {
        int rate = spoken.get(0).sound().rate();
        if (spoken.stream().anyMatch(utterance -> utterance.sound().rate() != rate)) {
            throw new SpeechFailed("The voice answered with two sample rates for one text. Render it again.");
        }
        double target = SoundJoiner.mean(spoken.stream().map(Utterance::sound).toList());
        SoundJoiner joining = new SoundJoiner(rate);
        List<WordStart> words = new ArrayList<>();
        List<PhonemeStart> phonemes = new ArrayList<>();
        int before = 0;
        for (int i = 0; i < pieces.size(); i++) {
            Utterance utterance = spoken.get(i);
            SoundJoiner.Laid laid = joining.add(
                    utterance.sound(),
                    pieces.get(i).joint().seconds(),
                    SoundJoiner.gain(SoundJoiner.level(utterance.sound()), target, MOST_GAIN_DB));
            if (laid.start() > before) {
                phonemes.add(new PhonemeStart(before, true));
            }
            int from = pieces.get(i).from();
            utterance
                    .words()
                    .forEach(word -> words.add(new WordStart(from + word.codePoint(), laid.at(word.sample()))));
            utterance
                    .phonemes()
                    .forEach(phoneme ->
                            phonemes.add(new PhonemeStart(laid.at(phoneme.sample()), phoneme.silent(), phoneme.ipa())));
            before = laid.end();
        }
        return new Utterance(joining.sound(), words, phonemes);
    }
}
