package org.logophon.core.time.bed;

/**
 * The gain curve that lowers a bed under speech: 1 while somebody speaks, 0 where nobody does, and straight lines
 * between. It is down when the first word begins, since it is known beforehand when that is.
 */
final class Ducking {

    static final int ATTACK = 48 * 50;
    static final int RELEASE = 48 * 400;

    private final VoiceSpans voice;

    Ducking(VoiceSpans voice) {
        this.voice = voice;
    }

    /** @param at the first sample's place in the programme */
    void fill(long at, float[] lowered, int count) {
        int span = voice.endingAfter(at - RELEASE);
        for (int i = 0; i < count; i++) {
            long place = at + i;
            while (span < voice.count() && voice.to(span) + RELEASE <= place) {
                span++;
            }
            lowered[i] = lowered(place, span);
        }
    }

    /** The stretch that is being left, and the one that is coming: whichever holds it lower. */
    private float lowered(long place, int span) {
        float most = 0;
        for (int i = span; i < voice.count() && voice.from(i) - ATTACK < place; i++) {
            float now = place < voice.from(i)
                    ? 1 - (voice.from(i) - place) / (float) ATTACK
                    : place < voice.to(i) ? 1 : 1 - (place - voice.to(i)) / (float) RELEASE;
            most = Math.max(most, now);
        }
        return most;
    }
}
