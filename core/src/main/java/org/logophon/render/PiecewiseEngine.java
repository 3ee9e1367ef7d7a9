package org.logophon.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.loudness.Loudness;
import org.logophon.loudness.LoudnessMeter;
import org.logophon.render.RequestCuts.Joint;
import org.logophon.render.RequestCuts.Piece;
import org.logophon.render.Utterance.PhonemeStart;
import org.logophon.render.Utterance.WordStart;
import org.logophon.sound.Decibels;
import org.logophon.sound.Sound;
import org.logophon.sound.SpeechSpan;
import org.logophon.voice.Voice;

/**
 * Lets a voice with a limit on what it takes at once speak longer texts: they are cut into requests, and the answers are
 * brought to one level and joined with the pause that belongs between them. A limit is the software's business.
 */
public final class PiecewiseEngine implements SpeechEngine {

    private static final double SENTENCE_PAUSE_SECONDS = 0.32;
    private static final double CLAUSE_PAUSE_SECONDS = 0.14;
    private static final double WORD_PAUSE_SECONDS = 0.02;
    /** Kept of a piece's own quiet on both sides, so that soft starts and ends stay whole. */
    private static final double EDGE_SECONDS = 0.010;
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
    public Utterance speak(SpeechRequest request) {
        if (fits(request)) {
            return engine.speak(request);
        }
        List<Piece> pieces = pieces(request);
        List<Utterance> spoken = new ArrayList<>();
        for (Piece piece : pieces) {
            spoken.add(engine.speak(of(request, piece)));
        }
        return joined(pieces, spoken);
    }

    /** What the engine under it is asked, in order. */
    public static List<SpeechRequest> requests(SpeechRequest request) {
        return fits(request) ? List.of(request) : pieces(request).stream().map(piece -> of(request, piece)).toList();
    }

    private static boolean fits(SpeechRequest request) {
        String text = request.text().text();
        int most = request.voice().terms().mostCharacters();
        return most == 0 || text.codePointCount(0, text.length()) <= most;
    }

    private static List<Piece> pieces(SpeechRequest request) {
        return RequestCuts.cut(request.text(), request.voice().terms().mostCharacters(), request.voice().language());
    }

    private static SpeechRequest of(SpeechRequest request, Piece piece) {
        return new SpeechRequest(request.voice(), piece.text(), request.paceFactor(), request.semitones(), request.style());
    }

    private static Utterance joined(List<Piece> pieces, List<Utterance> spoken) {
        int rate = spoken.get(0).sound().rate();
        double[] levels = spoken.stream().mapToDouble(PiecewiseEngine::level).toArray();
        double target = mean(levels, spoken);
        List<Sound> sounds = new ArrayList<>();
        List<WordStart> words = new ArrayList<>();
        List<PhonemeStart> phonemes = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < pieces.size(); i++) {
            Utterance utterance = spoken.get(i);
            if (utterance.sound().rate() != rate) {
                throw new SpeechFailed("The voice answered with two sample rates for one text. Render it again.");
            }
            int pause = i == 0 ? 0 : (int) Math.round(seconds(pieces.get(i).joint()) * rate);
            if (pause > 0) {
                sounds.add(new Sound(new float[pause], rate));
                phonemes.add(new PhonemeStart(at, true));
                at += pause;
            }
            SpeechSpan span = SpeechSpan.of(utterance.sound()).widened(EDGE_SECONDS, utterance.sound());
            double gain = Double.isNaN(levels[i]) ? 0 : Math.max(-MOST_GAIN_DB, Math.min(MOST_GAIN_DB, target - levels[i]));
            sounds.add(utterance.sound().cut(span.from(), span.to()).amplified(Decibels.toFactor(gain)));
            int moved = at - span.from();
            int last = at + span.to() - span.from();
            int from = pieces.get(i).from();
            int start = at;
            utterance.words().forEach(word -> words.add(new WordStart(from + word.codePoint(), within(word.sample() + moved, start, last))));
            utterance.phonemes().forEach(phoneme -> phonemes.add(new PhonemeStart(within(phoneme.sample() + moved, start, last), phoneme.silent())));
            at = last;
        }
        return new Utterance(joined(sounds, rate, at), words, phonemes);
    }

    private static double seconds(Joint joint) {
        return switch (joint) {
            case SENTENCE -> SENTENCE_PAUSE_SECONDS;
            case CLAUSE -> CLAUSE_PAUSE_SECONDS;
            case WORD -> WORD_PAUSE_SECONDS;
        };
    }

    /** K-weighted loudness; NaN for silence. */
    private static double level(Utterance utterance) {
        SpeechSpan span = SpeechSpan.of(utterance.sound());
        Loudness loudness = LoudnessMeter.of(utterance.sound().cut(span.from(), span.to()));
        return loudness.silent() ? Double.NaN : loudness.lufs();
    }

    /** By length: a short piece doesn't pull the long ones. */
    private static double mean(double[] levels, List<Utterance> spoken) {
        double sum = 0;
        double seconds = 0;
        for (int i = 0; i < levels.length; i++) {
            if (!Double.isNaN(levels[i])) {
                sum += levels[i] * spoken.get(i).sound().seconds();
                seconds += spoken.get(i).sound().seconds();
            }
        }
        return seconds == 0 ? 0 : sum / seconds;
    }

    private static int within(int value, int least, int most) {
        return Math.max(least, Math.min(most, value));
    }

    private static Sound joined(List<Sound> sounds, int rate, int length) {
        float[] samples = new float[length];
        int at = 0;
        for (Sound sound : sounds) {
            System.arraycopy(sound.samples(), 0, samples, at, sound.samples().length);
            at += sound.samples().length;
        }
        return new Sound(samples, rate);
    }
}
