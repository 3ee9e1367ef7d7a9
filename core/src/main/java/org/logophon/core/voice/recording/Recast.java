package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.prosody.Contour;
import org.logophon.core.signal.prosody.Shape;
import org.logophon.core.signal.prosody.VoiceReshaper;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.render.Phone;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;

/**
 * One voice's speech in the timing and the melody of another's: each word is made as long as it is in the recording,
 * each pause is laid as long, and each period of the voice gets the pitch that the recording has at that place of the
 * word, moved by the interval between their medians. One pass of overlap-add over the whole, so that nothing is spliced
 * inside speech.
 */
final class Recast {

    /** Pitch is laid on in steps of so long. */
    private static final double STEP_SECONDS = 0.010;
    /** Shorter is no pause but a stop's closure: it goes along with its word. */
    private static final double PAUSE_SECONDS = 0.045;

    private static final double FASTEST = 3.9;
    private static final double SLOWEST = 0.26;
    private static final double FADE_SECONDS = 0.006;
    private static final int MOST_PASSES = 3;
    private static final double CLOSE_SEMITONES = 0.2;

    private final Sound sound;
    private final int rate;
    private final List<Anchor> anchors;
    private final Sound recorded;
    private final double timing;
    private final double melody;
    private final PitchTrack own;
    private final double[] line;
    private final double ownMedian;
    private final double lineMedian;
    private final boolean ownPitch;

    /**
     * A word in both sounds, in the samples of each.
     *
     * @param from  where it starts in the voice's speech
     * @param to    where it ends there
     * @param start where it starts in the recording
     * @param end   where it ends there
     */
    record Anchor(int from, int to, int start, int end) {}

    /** A stretch of the voice's speech and what it becomes, in samples of its own rate; with no speech, silence. */
    private record Piece(int from, int to, int laid, double recordedFrom, double recordedTo) {}

    private Recast(Speech said, List<Anchor> anchors, Recorded recorded, RecordedVoice asked) {
        this.sound = said.sound();
        this.rate = sound.rate();
        this.anchors = anchors;
        this.recorded = recorded.sound();
        this.timing = asked.timing() / 100.0;
        this.melody = asked.melody() / 100.0;
        this.ownPitch = asked.ownPitch();
        this.own = PitchMeter.track(sound);
        PitchTrack theirs = PitchMeter.track(recorded.sound());
        this.ownMedian = own.medianHz();
        this.lineMedian = theirs.medianHz();
        this.line = MelodyLine.of(theirs);
    }

    /** @param anchors words that are in both, in order */
    static Speech of(Speech said, List<Anchor> anchors, Recorded recorded, RecordedVoice asked) {
        return new Recast(said, anchors, recorded, asked).made(said);
    }

    private Speech made(Speech said) {
        List<Piece> pieces = pieces();
        double correction = 0;
        Laid best = null;
        double least = Double.MAX_VALUE;
        // overlap-add leaves a voice a little off its pitch: once more by the difference
        for (int pass = 0; pass < MOST_PASSES; pass++) {
            Laid laid = laid(pieces, correction);
            double median = PitchMeter.track(laid.sound()).medianHz();
            double wanted = wantedMedian();
            double miss = median == 0 || wanted == 0 ? 0 : PitchTrack.semitones(median, wanted);
            if (Math.abs(miss) < least) {
                least = Math.abs(miss);
                best = laid;
            }
            if (Math.abs(miss) < CLOSE_SEMITONES) {
                break;
            }
            correction += miss;
        }
        List<WordTime> words = new ArrayList<>();
        for (WordTime word : said.words()) {
            int from = best.moved(word.startSample());
            words.add(new WordTime(word.start(), word.end(), from, Math.max(from, best.movedEnd(word.endSample()))));
        }
        List<Phone> phones = said.phones();
        return new Speech(best.sound(), words, said.measurement(), phones);
    }

    private double wantedMedian() {
        return ownPitch || lineMedian == 0 ? ownMedian : lineMedian;
    }

    /** Words and what is between them, from the first word's start to the last one's end. */
    private List<Piece> pieces() {
        List<Piece> pieces = new ArrayList<>();
        double scale = rate / (double) recorded.rate();
        if (anchors.get(0).from() > 0) {
            pieces.add(new Piece(0, anchors.get(0).from(), anchors.get(0).from(), 0, 0));
        }
        for (int i = 0; i < anchors.size(); i++) {
            Anchor anchor = anchors.get(i);
            int end = Math.max(anchor.from() + 1, anchor.to());
            int next = i + 1 < anchors.size() ? anchors.get(i + 1).from() : sound.samples().length;
            int following = i + 1 < anchors.size() ? anchors.get(i + 1).start() : anchor.end();
            boolean last = i + 1 == anchors.size();
            double ownGap = Math.max(0, next - end);
            double theirGap = Math.max(0, following - anchor.end()) * scale;
            // where neither rests, the words run into one another and share their border
            boolean rests = !last && Math.max(ownGap, theirGap) >= PAUSE_SECONDS * rate;
            double theirs = (rests || last ? anchor.end() : following) - anchor.start();
            int to = rests || last ? end : next;
            double wanted = mixed(to - anchor.from(), theirs * scale, timing);
            pieces.add(piece(anchor.from(), to, wanted, anchor.start(), anchor.start() + theirs));
            if (rests) {
                pieces.add(new Piece(end, next, (int) Math.round(mixed(ownGap, theirGap, timing)), 0, 0));
            } else if (last && next > end) {
                pieces.add(new Piece(end, next, next - end, 0, 0));
            }
        }
        return pieces;
    }

    private Piece piece(int from, int to, double wanted, double recordedFrom, double recordedTo) {
        double length = Math.max(1, to - from);
        double pace = Math.max(SLOWEST, Math.min(FASTEST, length / Math.max(1, wanted)));
        return new Piece(from, to, (int) Math.round(length / pace), recordedFrom, recordedTo);
    }

    private static double mixed(double one, double other, double share) {
        return one + (other - one) * share;
    }

    /** What was laid, and where each sample of the voice's speech came to lie. */
    private record Laid(Sound sound, List<int[]> moves) {

        int moved(int sample) {
            int[] move = moves.get(0);
            for (int[] other : moves) {
                move = other[0] <= sample ? other : move;
            }
            return place(move, sample);
        }

        int movedEnd(int sample) {
            int[] move = moves.get(0);
            for (int[] other : moves) {
                move = other[0] < sample ? other : move;
            }
            return place(move, sample);
        }

        private int place(int[] move, int sample) {
            double share = move[1] == move[0] ? 0 : (sample - move[0]) / (double) (move[1] - move[0]);
            return (int) Math.min(
                    sound.samples().length,
                    Math.round(move[2] + Math.max(0, Math.min(1, share)) * (move[3] - move[2])));
        }
    }

    /** Each stretch of speech between silences is one pass; silences are laid as long as they should be. */
    private Laid laid(List<Piece> pieces, double correction) {
        List<Contour.Stretch> stretches = new ArrayList<>();
        List<Integer> rests = new ArrayList<>();
        int at = 0;
        for (Piece piece : pieces) {
            boolean silence = piece.recordedTo() <= piece.recordedFrom();
            if (silence) {
                // its own length: what is missing or too much is put in or taken out afterwards
                add(stretches, at, piece.to(), new Shape(1, 0, 1, 0), 0);
            } else {
                word(stretches, piece, correction);
            }
            at = piece.to();
            rests.add(silence ? piece.laid() : -1);
        }
        Contour contour = new Contour(stretches, rate);
        Sound shaped = new VoiceReshaper(sound, own).to(contour);
        return rested(pieces, rests, contour, shaped);
    }

    private static void add(List<Contour.Stretch> stretches, int from, int to, Shape shape, double centre) {
        if (to > from) {
            stretches.add(new Contour.Stretch(to, shape, centre));
        }
    }

    private void word(List<Contour.Stretch> stretches, Piece piece, double correction) {
        double pace = (piece.to() - piece.from()) / (double) Math.max(1, piece.laid());
        double bounded = Math.max(0.25, Math.min(4, pace));
        int step = (int) Math.max(1, STEP_SECONDS * rate);
        double interval = wantedMedian() == 0 || lineMedian == 0 ? 1 : wantedMedian() / lineMedian;
        for (int from = piece.from(); from < piece.to(); from += step) {
            int to = Math.min(piece.to(), from + step);
            double share = ((from + to) / 2.0 - piece.from()) / Math.max(1, piece.to() - piece.from());
            double seconds =
                    mixed(piece.recordedFrom(), piece.recordedTo(), share) / recorded.rate() / PitchTrack.HOP_SECONDS;
            double hertz = line.length == 0 ? 0 : line[(int) Math.max(0, Math.min(line.length - 1, seconds))];
            double target = hertz * interval;
            double moved = melody == 0 || target == 0 ? moveToRecorded() : 0;
            Shape shape = new Shape(
                    bounded,
                    Math.max(-24, Math.min(24, moved * (melody == 0 ? 1 : 0) + correction)),
                    melody == 0 || target == 0 ? 1 : 1 - melody,
                    0);
            stretches.add(new Contour.Stretch(to, shape, melody == 0 || target == 0 ? 0 : target));
        }
    }

    /** Without its melody the recording's pitch is its median alone. */
    private double moveToRecorded() {
        return ownPitch || lineMedian == 0 || ownMedian == 0 ? 0 : PitchTrack.semitones(ownMedian, lineMedian);
    }

    private Laid rested(List<Piece> pieces, List<Integer> rests, Contour contour, Sound shaped) {
        List<float[]> parts = new ArrayList<>();
        List<int[]> moves = new ArrayList<>();
        int length = 0;
        int fade = (int) (FADE_SECONDS * rate);
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            int from = Math.min(shaped.samples().length, contour.moved(piece.from()));
            int to = Math.min(
                    shaped.samples().length,
                    i + 1 < pieces.size() ? contour.moved(pieces.get(i + 1).from()) : shaped.samples().length);
            float[] part = java.util.Arrays.copyOfRange(shaped.samples(), from, Math.max(from, to));
            if (rests.get(i) >= 0 && i > 0 && i + 1 < pieces.size()) {
                part = silence(part, rests.get(i), fade);
            }
            moves.add(new int[] {piece.from(), piece.to(), length, length + part.length});
            parts.add(part);
            length += part.length;
        }
        float[] all = new float[length];
        int at = 0;
        for (float[] part : parts) {
            System.arraycopy(part, 0, all, at, part.length);
            at += part.length;
        }
        return new Laid(new Sound(all, rate), moves);
    }

    /** The two ends of a silence stay, faded towards its middle: soft releases and onsets are in them. */
    private static float[] silence(float[] own, int wanted, int fade) {
        float[] laid = new float[wanted];
        int kept = Math.min(own.length, wanted);
        int head = kept / 2;
        for (int k = 0; k < head; k++) {
            laid[k] = own[k] * Math.min(1, (head - k) / (float) Math.max(1, fade));
        }
        for (int k = 0; k < kept - head; k++) {
            laid[wanted - 1 - k] = own[own.length - 1 - k] * Math.min(1, (kept - head - k) / (float) Math.max(1, fade));
        }
        return laid;
    }
}
