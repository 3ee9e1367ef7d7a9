package org.logophon.core.time.caption;

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
import org.logophon.core.text.script.Words;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip.TimedWord;

class CaptionsPropertiesTest {

    private static List<TimedWord> spoken(String text, double secondsAWord) {
        List<TimedWord> words = new ArrayList<>();
        for (var word : Words.of(text)) {
            words.add(new TimedWord(
                    word.start(), word.end(), words.size() * secondsAWord, (words.size() + 0.9) * secondsAWord));
        }
        return words;
    }

    private static List<Caption> captions(String text, List<TimedWord> words, long from, long until) {
        return Captions.of(
                text,
                words,
                new Captions.Place(SampleCount.ofMillis(from), SampleCount.ofMillis(until), 0.04, "en-GB"),
                "");
    }

    @Property(tries = 300, seed = "1")
    void noTextIsLostAndNoCaptionOverlapsTheNext(
            @ForAll("texts") String text, @ForAll @DoubleRange(min = 0.05, max = 2) double pace) {
        List<Caption> captions = captions(text, spoken(text, pace), 5_000, 1_005_000);
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
        assertThat(captions(text, spoken(text, 0.4), 0, 60_000))
                .extracting(c -> String.join(" ", c.lines()))
                .containsExactly("Nobody speaks at all.", "The whole lantern turns a few degrees.");
    }

    @Test
    void aShortCueStaysLongEnoughToBeReadButNotOverTheNext() {
        String text = "Yes.";
        assertThat(captions(text, spoken(text, 0.3), 0, 60_000).get(0).endMillis())
                .isEqualTo(1_000);
        assertThat(captions(text, spoken(text, 0.3), 0, 600).get(0).endMillis())
                .as("two frames before the next cue")
                .isEqualTo(520);
    }

    @Test
    void anHourIsWrittenAsOne() {
        assertThat(SubRip.of(List.of(new Caption(3_723_004, 3_724_000, List.of("a", "b")))))
                .isEqualTo("1\r\n01:02:03,004 --> 01:02:04,000\r\na\r\nb\r\n\r\n");
    }

    @Test
    void captionsKeepTheirLimitsAndLoseNoText() {
        String text =
                "Each prism is cleaned with distilled water, wrapped in acid-free paper, numbered, and laid in a crate "
                        + "that Ffion Aldous built from the old chart table. It took a week.";
        List<TimedWord> words = new ArrayList<>();
        for (var word : Words.of(text)) {
            words.add(new TimedWord(word.start(), word.end(), words.size() * 0.35, words.size() * 0.35 + 0.33));
        }
        List<Caption> captions = captions(text, words, 10_000, 60_000);
        assertThat(captions).hasSizeGreaterThan(2).allSatisfy(caption -> {
            assertThat(caption.lines())
                    .hasSizeBetween(1, 2)
                    .allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(42));
            assertThat(caption.endMillis() - caption.startMillis()).isBetween(1_000L, 7_000L);
        });
        assertThat(String.join(
                        " ", captions.stream().flatMap(c -> c.lines().stream()).toList()))
                .isEqualTo(text);
        for (int i = 1; i < captions.size(); i++) {
            assertThat(captions.get(i).startMillis())
                    .isGreaterThanOrEqualTo(captions.get(i - 1).endMillis());
        }
        assertThat(SubRip.of(captions)).startsWith("1\r\n00:00:10,000 --> ");
    }
}
