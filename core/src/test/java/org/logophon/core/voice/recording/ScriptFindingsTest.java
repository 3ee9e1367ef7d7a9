package org.logophon.core.voice.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.check.TakeFinding.Kind;
import org.logophon.core.voice.render.WordTime;

/** What is told of words whose times are known. */
class ScriptFindingsTest {

    private static final int RATE = 1_000;
    private static final String TEXT = "Fog lies over Skerrow. Nobody rows tonight.";

    /** @param gaps milliseconds of silence after each word @param lengths of each word */
    private static List<WordTime> words(int[] lengths, int... gaps) {
        List<WordTime> times = new ArrayList<>();
        int at = 0;
        List<Word> words = Words.of(TEXT);
        for (int i = 0; i < words.size(); i++) {
            times.add(new WordTime(words.get(i).start(), words.get(i).end(), at, at + lengths[i]));
            at += lengths[i] + gaps[i];
        }
        return times;
    }

    private static final int[] EVEN = {300, 300, 300, 300, 300, 300, 300};

    private static ScriptFindings of(List<WordTime> words) {
        return new ScriptFindings(TEXT, words, RATE);
    }

    private static String said(TakeFinding finding) {
        return TEXT.substring(finding.start(), finding.end());
    }

    @Test
    void aLongGapInsideASentenceIsAHesitationAndBetweenTwoOneMayRest() {
        ScriptFindings findings = of(words(EVEN, 100, 1_500, 100, 1_500, 100, 100, 0));
        findings.hesitations();
        assertThat(findings.all()).singleElement().satisfies(finding -> {
            assertThat(finding.kind()).isEqualTo(Kind.HESITATION);
            assertThat(said(finding)).isEqualTo("lies over");
            assertThat(finding.fromSeconds()).isCloseTo(0.7, within(1e-9));
            assertThat(finding.toSeconds()).isCloseTo(2.2, within(1e-9));
            assertThat(finding.sentence()).isEqualTo("1.5 s of silence after “lies”.");
        });
    }

    @Test
    void betweenSentencesOneMayRestOnlySoLong() {
        ScriptFindings findings = of(words(EVEN, 0, 0, 0, 3_000, 0, 0, 0));
        findings.hesitations();
        assertThat(findings.all())
                .singleElement()
                .satisfies(finding -> assertThat(said(finding)).isEqualTo("Skerrow. Nobody"));
    }

    @Test
    void aWordThatTakesFarLongerThanItsKindIsAStumble() {
        int[] lengths = EVEN.clone();
        lengths[4] = 1_200;
        ScriptFindings findings = of(words(lengths, new int[7]));
        findings.stumbles(List.of(words(EVEN, new int[7])), List.of(RATE));
        assertThat(findings.all()).singleElement().satisfies(finding -> {
            assertThat(finding.kind()).isEqualTo(Kind.STUMBLE);
            assertThat(finding.sentence()).isEqualTo("“Nobody” takes 4.0 times as long as the rest: a stumble?");
        });
    }

    @Test
    void aSlowReaderStumblesNowhere() {
        int[] slow = {700, 700, 700, 700, 700, 700, 700};
        ScriptFindings findings = of(words(slow, new int[7]));
        findings.stumbles(List.of(words(EVEN, new int[7])), List.of(RATE));
        assertThat(findings.all()).isEmpty();
    }

    @Test
    void whereMostWordsHaveNoTimeNoneIsHeldAgainstThem() {
        ScriptFindings findings = of(words(new int[] {0, 0, 900, 0, 0, 0, 0}, new int[7]));
        findings.stumbles(List.of(words(EVEN, new int[7])), List.of(RATE));
        assertThat(findings.all()).isEmpty();
    }

    @Test
    void whatIsLeftOutAndWhatIsAddedIsNamedByItsWords() {
        ScriptFindings findings = of(words(EVEN, new int[7]));
        findings.unsaid(TEXT.indexOf("over"), TEXT.indexOf("Skerrow"));
        findings.strange(TEXT.indexOf("rows"), 1_400, 1_500, false);
        findings.strange(TEXT.length(), 2_000, 2_100, true);
        assertThat(findings.all())
                .extracting(TakeFinding::sentence)
                .containsExactly(
                        "“over Skerrow” seems to be left out.",
                        "Before “rows” something is said that the script doesn't have.",
                        "After “tonight” something seems to be said twice.");
    }

    @Test
    void ofNoWordsNothingIsTold() {
        ScriptFindings findings = of(List.of());
        findings.hesitations();
        findings.stumbles(List.of(List.of()), List.of(RATE));
        findings.unsaid(0, 3);
        findings.strange(0, 0, 10, false);
        assertThat(findings.all()).isEmpty();
    }
}
