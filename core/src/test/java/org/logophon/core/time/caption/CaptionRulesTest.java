package org.logophon.core.time.caption;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.text.script.Words;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip.TimedWord;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

/**
 * Captions by the rules of the trade: two lines of 42, 1 to 7 s, 20 characters a second (common practice, no source).
 */
class CaptionRulesTest {

    private static final String[] VOCABULARY = {
        "lamp",
        "the",
        "keeper,",
        "of",
        "and",
        "lighthouse",
        "4",
        "km",
        "went",
        "slowly.",
        "a",
        "storm;",
        "in",
        "restoration",
        "he"
    };

    private static Captions.Place place(double start, double until) {
        return new Captions.Place(SampleCount.nearest(start), SampleCount.nearest(until), 0.04, "en-GB");
    }

    private static List<TimedWord> timed(String text, Random random, double slowest) {
        List<TimedWord> words = new ArrayList<>();
        double at = 0;
        for (var word : Words.of(text)) {
            double length = 0.05 + random.nextDouble() * slowest;
            words.add(new TimedWord(word.start(), word.end(), at, at + length));
            at += length + (random.nextInt(4) == 0 ? random.nextDouble() * 0.5 : 0);
        }
        return words;
    }

    private static double characters(Caption caption) {
        return String.join(" ", caption.lines()).length();
    }

    private static boolean broken(Caption caption) {
        double seconds = (caption.endMillis() - caption.startMillis()) / 1_000.0;
        return seconds < 0.998 || characters(caption) / seconds > 20.1;
    }

    /** How few captions break a rule when every way to cut is tried: each is told from the rules alone. */
    private static int fewest(String text, List<TimedWord> words, double until) {
        Breaks breaks = new Breaks(text, words, "en-GB");
        int fewest = Integer.MAX_VALUE;
        for (int cuts = 0; cuts < 1 << words.size() - 1; cuts++) {
            int wrong = 0;
            int first = 0;
            boolean possible = true;
            for (int i = 0; i < words.size() && possible; i++) {
                boolean last = i + 1 == words.size();
                if (!last && (cuts >> i & 1) == 0) {
                    continue;
                }
                String piece = breaks.piece(first, i);
                double from = words.get(first).startSeconds();
                double spoken = words.get(i).endSeconds() - from;
                double room = (last ? until : words.get(i + 1).startSeconds()) - 0.08 - from;
                double shown = Math.min(Math.max(spoken, Math.max(1, piece.length() / 20.0)), room);
                wrong += shown < 0.998 || piece.length() / shown > 20.1 ? 1 : 0;
                possible = breaks.lines(first, i, 42).size() <= 2 && (spoken <= 7 || first == i);
                first = i + 1;
            }
            fewest = possible ? Math.min(fewest, wrong) : fewest;
        }
        return fewest;
    }

    @Test
    void fiveHundredRandomProgrammesOverlapNowhereAndBreakNoRuleThatAnotherCutWouldKeep() {
        Random random = new Random(11);
        for (int programme = 0; programme < 500; programme++) {
            double start = 0;
            long last = 0;
            for (int cue = 0; cue < 3; cue++) {
                List<String> words = new ArrayList<>();
                for (int i = 1 + random.nextInt(9); i > 0; i--) {
                    words.add(VOCABULARY[random.nextInt(VOCABULARY.length)]);
                }
                String text = String.join(" ", words) + ".";
                List<TimedWord> timed = timed(text, random, 0.2 + random.nextDouble());
                double until = timed.get(timed.size() - 1).endSeconds() + random.nextDouble();
                List<Caption> captions = Captions.of(text, timed, place(start, start + until), "");
                for (Caption caption : captions) {
                    assertThat(caption.startMillis()).as(text).isGreaterThanOrEqualTo(last);
                    assertThat(caption.endMillis()).isGreaterThan(caption.startMillis());
                    assertThat(caption.lines()).hasSizeBetween(1, 2);
                    last = caption.endMillis();
                }
                assertThat(captions.stream().filter(CaptionRulesTest::broken).count())
                        .as(text + " " + timed + " " + until + " " + captions)
                        .isLessThanOrEqualTo(fewest(text, timed, until));
                start += until;
            }
        }
    }

    private static List<String> shown(String text, double secondsALetter) {
        List<TimedWord> words = new ArrayList<>();
        double at = 0;
        for (var word : Words.of(text)) {
            double length = 0.1 + (word.end() - word.start()) * secondsALetter;
            words.add(new TimedWord(word.start(), word.end(), at, at + length));
            at += length + 0.02;
        }
        return Captions.of(text, words, place(0, at + 2), "").stream()
                .map(caption -> String.join(" / ", caption.lines()))
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "By noon the pans hold nothing any more but a thin and brittle crust of damp grey salt.",
                "Each prism is cleaned with distilled water, wrapped in acid-free paper, and laid in a "
                        + "crate of old oak.",
                "The lens weighs 1,240 kg and floats on a bath of mercury, so that one finger is enough to "
                        + "turn it round.",
                "Nobody on the quay had seen the keeper of the light since the storm took the last boat out of the bay."
            })
    void nothingShortIsLeftOverAndNoLineEndsOnAnArticleOrBeforeAUnit(String text) {
        List<String> captions = shown(text, 0.055);
        assertThat(String.join(" ", captions).replace(" / ", " ")).isEqualTo(text);
        assertThat(captions).allSatisfy(caption -> {
            assertThat(caption.length()).as("not one short word left over").isGreaterThan(14);
            for (String line : caption.split(" / ")) {
                assertThat(line).doesNotMatch("(?i).*\\b(the|a|an|of)$").doesNotMatch(".*\\d$");
            }
            String[] lines = caption.split(" / ");
            if (lines.length == 2) {
                assertThat(lines[0].length() - lines[1].length())
                        .as("the first is shorter, or nearly as long: " + caption)
                        .isLessThanOrEqualTo(14);
            }
        });
    }

    @Test
    void rolesAreNamedInWebVttAndWhatLooksLikeMarkupIsText() {
        Caption caption = new Caption(1_000, 2_500, List.of("Lean <in> & hold.", "Now."), "The <old> keeper");
        assertThat(WebVtt.of(List.of(caption), "en-GB"))
                .isEqualTo("WEBVTT\nLanguage: en-GB\n\n00:00:01.000 --> 00:00:02.500\n"
                        + "<v The &lt;old&gt; keeper>Lean &lt;in&gt; &amp; hold.\nNow.</v>\n\n");
    }

    /** IMSC 1.1, 6.2 and 8: the profile, a region and style by reference, times by the media's clock. */
    @Test
    void timedTextIsWellFormedAndOfTheTextProfile() throws Exception {
        String text = TimedText.of(
                List.of(
                        new Caption(1_000, 2_500, List.of("Lean in & hold.", "Now."), "Keeper"),
                        new Caption(2_600, 4_000, List.of("]]> \u0007<p>"), "")),
                "en-GB",
                "A <title>");
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        Document document = factory.newDocumentBuilder().parse(new InputSource(new StringReader(text)));
        Element tt = document.getDocumentElement();
        assertThat(tt.getNamespaceURI()).isEqualTo("http://www.w3.org/ns/ttml");
        assertThat(tt.getAttributeNS("http://www.w3.org/ns/ttml#parameter", "contentProfiles"))
                .isEqualTo("http://www.w3.org/ns/ttml/profile/imsc1.1/text");
        Element first = (Element) document.getElementsByTagNameNS("*", "p").item(0);
        assertThat(first.getAttribute("begin")).isEqualTo("00:00:01.000");
        assertThat(first.getElementsByTagNameNS("*", "br").getLength()).isEqualTo(1);
        Element agent = (Element) document.getElementsByTagNameNS("*", "agent").item(0);
        assertThat(first.getAttributeNS("http://www.w3.org/ns/ttml#metadata", "agent"))
                .isEqualTo(agent.getAttribute("xml:id"));
        assertThat(document.getElementsByTagNameNS("*", "p").item(1).getTextContent())
                .isEqualTo("]]> <p>");
    }

    @Test
    void wordsComeOneToFourAtATimeWithTheirTimesGoingUp() {
        String text = "Wedge the clay on a dry board, slowly, until no air is left.";
        List<TimedWord> words = timed(text, new Random(3), 0.3);
        List<WordCaptions.Group> groups = WordCaptions.of(text, words, place(10, 60), "");
        assertThat(groups).allSatisfy(group -> assertThat(group.words()).hasSizeBetween(1, 4));
        assertThat(groups.stream()
                        .flatMap(group -> group.words().stream())
                        .map(WordCaptions.ShownWord::shown)
                        .toList())
                .isEqualTo(List.of(text.split(" ")));
        long before = 0;
        for (WordCaptions.Group group : groups) {
            for (WordCaptions.ShownWord word : group.words()) {
                assertThat(word.startMillis()).isGreaterThanOrEqualTo(before);
                before = word.startMillis();
            }
        }
        assertThat(WordCaptions.vtt(groups, ""))
                .startsWith("WEBVTT\n\n00:00:10.000 --> ")
                .containsPattern("the <00:00:10\\.\\d{3}>clay");
    }

    @Test
    void aCorrectedCaptionKeepsTheTimesOfTheWordsThatAreSpoken() {
        String spoken = "The kiln holds twelve hundred degrees for two hours.";
        List<TimedWord> words = timed(spoken, new Random(5), 0.4);
        String shown = "The kiln holds 1,200 °C for two hours.";
        List<TimedWord> captioned = CaptionWords.of(spoken, words, shown);
        assertThat(captioned).hasSameSizeAs(Words.of(shown));
        assertThat(captioned.get(2).startSeconds()).isEqualTo(words.get(2).startSeconds());
        assertThat(captioned.get(3).startSeconds()).isEqualTo(words.get(2).endSeconds());
        assertThat(captioned.get(captioned.size() - 1).endSeconds())
                .isEqualTo(words.get(words.size() - 1).endSeconds());
    }
}
