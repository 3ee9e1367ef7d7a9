package org.logophon.core.voice.take;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.take.TakeOrigin.MarkThen;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;

/** What tells a take from another, as people would say it. */
class TakeDifferenceTest {

    private static TakeOrigin take(
            String text,
            String voice,
            double pace,
            double pitch,
            long seed,
            int lively,
            List<MarkThen> marks,
            List<Pronunciation> said) {
        return new TakeOrigin(
                text,
                "Narrator",
                new VoiceThen(voice.toLowerCase(java.util.Locale.ROOT), voice, voice, Tuning.NONE),
                "engine 1",
                Direction.NONE,
                Direction.NONE,
                Direction.NONE,
                PauseDefaults.NONE,
                lively,
                seed,
                marks,
                said,
                pace,
                pitch,
                "");
    }

    private static final String TEXT = "The lens weighs 2.3 t.";

    @Test
    void differencesAreSaidInWords() {
        TakeOrigin plain = take(TEXT, "Isla", 0.96, 0, 0, 0, List.of(), List.of());
        assertThat(TakeDifference.between(plain, plain)).isEmpty();
        assertThat(TakeDifference.between(plain, take(TEXT, "Tamsin", 1, -1, 0, 0, List.of(), List.of())))
                .containsExactly("voice Isla → Tamsin", "pace 96 → 100 %", "pitch 0.0 → −1.0 st");
        MarkThen pause = new MarkThen(20, 21, "pause", "300", Mark.Origin.OWN, "");
        TakeOrigin marked = take(
                TEXT,
                "Isla",
                0.96,
                0,
                3,
                30,
                List.of(pause),
                List.of(new Pronunciation(16, 21, "two point three tonnes", false)));
        assertThat(TakeDifference.between(plain, marked))
                .containsExactly(
                        "reading of “2.3 t”: two point three tonnes",
                        "pause 0.30 s after “t”",
                        "liveliness 0 → 30 %",
                        "another seed");
        assertThat(TakeDifference.between(marked, plain))
                .contains("no reading of “2.3 t”", "no pause 0.30 s after “t”");
        assertThat(TakeDifference.between(
                        plain, take("The lens weighs 3 t.", "Isla", 0.96, 0, 0, 0, List.of(), List.of())))
                .containsExactly("“2.3” → “3”");
        assertThat(TakeDifference.between(plain, TakeOrigin.spoken(TEXT, "Narrator", null)))
                .contains("said by a person");
    }
}
