package org.logophon.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.logophon.core.finish.Clip.TimedWord;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.script.Words;

class CaptionsPropertiesTest {

    private static List<TimedWord> spoken(String text, double secondsAWord) {
        List<TimedWord> words = new ArrayList<>();
        for (var word : Words.of(text)) {
            words.add(new TimedWord(
                    word.start(), word.end(), words.size() * secondsAWord, (words.size() + 0.9) * secondsAWord));
        }
        return words;
    }

    @Property(tries = 300)
    void noTextIsLostAndNoCaptionOverlapsTheNext(
            @ForAll("texts") String text, @ForAll @DoubleRange(min = 0.05, max = 2) double pace) {
        List<Caption> captions =
                Captions.of(text, spoken(text, pace), SampleCount.ofMillis(5_000), SampleCount.ofMillis(1_005_000));
        String shown = String.join(
                        "", captions.stream().flatMap(c -> c.lines().stream()).toList())
                .replace(" ", "");
        assertThat(shown).isEqualTo(text.replace(" ", ""));
        for (int i = 0; i < captions.size(); i++) {
            assertThat(captions.get(i).lines())
                    .hasSizeBetween(1, 2)
                    .allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(42));
            assertThat(captions.get(i).endMillis())
                    .isGreaterThan(captions.get(i).startMillis());
            if (i > 0) {
                assertThat(captions.get(i).startMillis())
                        .isGreaterThanOrEqualTo(captions.get(i - 1).endMillis());
            }
        }
    }

    @Provide
    Arbitrary<String> texts() {
        return Arbitraries.of(
                        "lamp",
                        "lens,",
                        "weather.",
                        "4:52;",
                        "north-west",
                        "“read”",
                        "£38,500.",
                        "I",
                        "restoration",
                        "été")
                .list()
                .ofMinSize(1)
                .ofMaxSize(60)
                .map(words -> String.join(" ", words));
    }

    @Test
    void aCaptionEndsAtASentenceWhereItCan() {
        String text = "Nobody speaks at all. The whole lantern turns a few degrees.";
        assertThat(Captions.of(text, spoken(text, 0.4), SampleCount.ZERO, SampleCount.ofMillis(60_000)))
                .extracting(c -> String.join(" ", c.lines()))
                .containsExactly("Nobody speaks at all.", "The whole lantern turns a few degrees.");
    }

    @Test
    void aShortCueStaysLongEnoughToBeReadButNotOverTheNext() {
        String text = "Yes.";
        assertThat(Captions.of(text, spoken(text, 0.3), SampleCount.ZERO, SampleCount.ofMillis(60_000))
                        .get(0)
                        .endMillis())
                .isEqualTo(1_000);
        assertThat(Captions.of(text, spoken(text, 0.3), SampleCount.ZERO, SampleCount.ofMillis(600))
                        .get(0)
                        .endMillis())
                .isEqualTo(600);
    }

    @Test
    void anHourIsWrittenAsOne() {
        assertThat(Captions.srt(List.of(new Caption(3_723_004, 3_724_000, List.of("a", "b")))))
                .isEqualTo("1\r\n01:02:03,004 --> 01:02:04,000\r\na\r\nb\r\n\r\n");
    }
}
