package org.logophon.core.direction.phrasing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.estimate.TextTime;

/**
 * How long a text takes when it is phrased: its words, of which the last before a sign are lengthened, and its rests.
 * What lengthening adds was fitted to 60 cues in eight voices.
 */
public final class PhrasedTime {

    private static final double LENGTHENED_SECONDS = 0.1;
    private static final int REMEMBERED = 4_000;

    private record Asked(String text, String language) {}

    private record Signs(double less, double rests) {}

    /** Estimates of all cues are made again after each edit of one. */
    private static final Cache<Asked, Signs> LATEST =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    private PhrasedTime() {}

    /** @param seconds of the text by {@link ReferenceTime}; with readings, of what is said */
    public static TextTime of(String text, String language, double seconds) {
        Signs signs = LATEST.get(new Asked(text, language), PhrasedTime::signs);
        return new TextTime(seconds, Math.max(0, seconds - signs.less()), signs.rests());
    }

    private static Signs signs(Asked asked) {
        double rests = 0;
        for (PhrasePart part : Phrasing.of(asked.text(), asked.language()).parts()) {
            rests += part.move() instanceof PhraseMove.Rest rest ? rest.seconds() : 0;
        }
        double stops = ReferenceTime.stops(asked.text());
        return new Signs(stops - LENGTHENED_SECONDS * ReferenceTime.countOfStops(asked.text()), rests);
    }
}
