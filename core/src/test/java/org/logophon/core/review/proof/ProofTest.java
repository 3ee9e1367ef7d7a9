package org.logophon.core.review.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.ProcessorTime;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.normalization.Sureness;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.ScriptCue;

class ProofTest {

    private static final Proof PROOF = new Proof(
            List.of(new WatchWord("utilise", List.of("use"), "plain words")), new DetectedLanguage(), List.of());

    private static List<Finding> find(String text) {
        return find(text, ReadingList.NONE);
    }

    private static List<Finding> find(String text, ReadingList readings) {
        return PROOF.of(CueToProof.of(text, "en-GB", ScriptCue.MOST_CHARACTERS, readings));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Its lens weighs 2.3 t today. | 2.3 t | unit | two point three tonnes | two point three tonnes",
                "Lit the lamp at 4:52. | 4:52 | time | four fifty-two | four fifty-two",
                "It was 1911 then. | 1911 | date | nineteen eleven | nineteen eleven",
                "Under UV light it glows. | UV | acronym | U V | U V",
                "Then the LED goes in. | LED | acronym | L E D | L E D",
                "It cost £38,500 in all. | £38,500 | money | thirty-eight thousand five hundred pounds | "
                        + "thirty-eight thousand five hundred pounds",
                "The lamp has 12 W now. | 12 W | unit | twelve watts | twelve watts",
                "There No. 4 is chipped. | No. 4 | ordinal | number four | number four",
                "I have wound the clock. | wound | homograph | wownde | wownde",
                "She read until two. | read | homograph | red | red",
                "He was a warden warden here. | warden warden | doubled word | warden warden | warden",
                "We utilise it. | utilise | watch word | utilise | use",
                "It fell.Then it rose. | fell.Then | run together | '' | fell. Then",
                "The sea is calm | calm | missing stop | '' | calm."
            })
    void findsWithReasonAndSuggestion(String text, String written, String kind, String wouldSay, String suggestion) {
        Finding finding = find(text).stream()
                .filter(f -> f.kind().label().equals(kind))
                .findFirst()
                .orElseThrow();
        assertThat(finding.text()).isEqualTo(written);
        assertThat(text.substring(finding.start(), finding.end())).isEqualTo(written);
        assertThat(finding.wouldSay()).isEqualTo(wouldSay);
        assertThat(finding.suggestions().get(0).text()).isEqualTo(suggestion);
        assertThat(finding.reason()).endsWith(".");
    }

    @Test
    void inventedNamesAreInNoDictionary() {
        assertThat(find("Here Ffion came to Skerrow Head."))
                .extracting(Finding::text)
                .containsExactly("Ffion", "Skerrow");
        assertThat(find("The colour of the theatre is grey, and its jewellery glows."))
                .isEmpty();
    }

    @Test
    void aLongSentenceIsSplitAtAClause() {
        String text = "Each prism is cleaned with distilled water and wrapped in acid-free paper, numbered by "
                + "hand, and laid in a crate that was built "
                + "from the old table because it was dry.";
        Finding finding = find(text).stream()
                .filter(f -> f.kind() == FindingKind.LONG_SENTENCE)
                .findFirst()
                .orElseThrow();
        assertThat(finding.reason()).isEqualTo("31 words without a stop: no room to breathe.");
        assertThat(finding.suggestions()).extracting(Suggestion::act).containsExactly(Act.CUT);
        assertThat(finding.suggestions().get(0).sentence()).isEqualTo("Split after “paper”");
    }

    @Test
    void aDirectionIsAskedToBeMarkedOnlyWhereThereIsAMarkForIt() {
        assertThat(find("Come in. [pause 1.5] It is late."))
                .extracting(Finding::reason)
                .containsExactly("A direction in brackets isn't spoken. Set a mark for it, or remove it.");
        assertThat(find("Come in. (laughs) It is late."))
                .extracting(Finding::reason)
                .containsExactly(
                        "A direction in brackets isn't spoken, and there is no mark for it. Remove it, or leave it.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"(laughs)", "[beat]", "[door opens]", "(softly)", "(to himself)", "(V.O.)"})
    void directionsInBracketsAreFound(String direction) {
        assertThat(find("Come in. " + direction + " It is late."))
                .extracting(Finding::kind)
                .containsExactly(FindingKind.STAGE_DIRECTION);
    }

    @Test
    void anAsideInBracketsIsNone() {
        assertThat(find("The lamp (which was old) broke.")).isEmpty();
    }

    @Test
    void anotherLanguageIsOneFinding() {
        List<Finding> found = find("Goleuni i'r rhai sydd ar y môr.");
        assertThat(found).extracting(Finding::kind).containsExactly(FindingKind.LANGUAGE);
        assertThat(found.get(0).reason()).contains("looks like Welsh").contains("speaks English");
    }

    @Test
    void addressesAreOfNoLanguageAndAreProofed() {
        assertThat(find("Mail me at morwenna@skerrow.example; see https://skerrow.example/lanterna/do/farol for more."))
                .extracting(Finding::kind)
                .doesNotContain(FindingKind.LANGUAGE)
                .contains(FindingKind.WEB_ADDRESS);
    }

    @Test
    void whatAReadingSettlesIsNoFinding() {
        ReadingList readings = new ReadingList(
                List.of(List.of(Reading.words("Skerrow", "skerro"), Reading.words("12 W", "twelve watts"))));
        assertThat(find("Skerrow has 12 W.", readings)).isEmpty();
    }

    @Test
    void whatARuleSaysNeedsNobodyAndTellsHowSureItIs() {
        assertThat(find("There are 360 prisms, the 4th is new. Under UV light 12 W are enough."))
                .allMatch(Finding::right)
                .extracting(Finding::sureness)
                .hasSize(4)
                .doesNotContain(Sureness.ASK);
    }

    @Test
    void aDateInFiguresIsAskedAboutWhereBothWaysArePossible() {
        Finding either = find("It opens on 06/07/2026.").get(0);
        assertThat(either.right()).isFalse();
        assertThat(either.sureness()).isEqualTo(Sureness.ASK);
        assertThat(either.suggestions())
                .extracting(Suggestion::text)
                .contains("the sixth of July twenty twenty-six", "the seventh of June twenty twenty-six");
        assertThat(find("It opens on 25/07/2026.").get(0).right()).isTrue();
    }

    @Test
    void plainWordsHaveNoFindings() {
        assertThat(find("At the top of the hill stands a lamp that has not been lit since then."))
                .isEmpty();
        assertThat(find("")).extracting(Finding::kind).containsExactly(FindingKind.OVER_LIMIT);
    }

    /** What takes its toll in patterns, over and over. */
    private static final List<String> HOSTILE = List.of(
            "(", "a@", "1,", "[x", "A.", "1-", "/", "12", "aA", "a.b", "' ", "0 000", "a", "qZ", "é", "_", "I ", "12:",
            "XIV", "1/", "a-b-", "wow! ", "Dr. ", "#", "a’", "a\u0301", "漢", "...", "'s", "a “", "x://", "www.");

    private static long work(int characters) {
        return ProcessorTime.of(() -> HOSTILE.forEach(unit -> find(unit.repeat(characters / unit.length()))));
    }

    @Test
    void workGrowsAsTheTextDoesWhateverItIs() {
        work(500);
        long some = work(1_250);
        long much = work(5_000);
        // four times the text; by the square it would be sixteen
        assertThat((double) much / some).isLessThan(8);
    }

    @Test
    void whatNoVoiceCanSayAtOnceIsLookedAtOnceItIsSplit() {
        for (String unit : HOSTILE) {
            assertThat(find(unit.repeat(200_000 / unit.length())))
                    .as(unit)
                    .extracting(Finding::kind)
                    .containsExactly(FindingKind.OVER_LIMIT);
        }
    }

    @Test
    void apostrophesWithoutEndAreAWordLikeAnyOther() {
        assertThatCode(() -> find("a’".repeat(4_999))).doesNotThrowAnyException();
        assertThat(find("The keeper’s o’clock wasn’t zqrt’s.").stream()
                        .filter(f -> f.kind() == FindingKind.UNKNOWN_WORD)
                        .map(Finding::text))
                .containsExactly("zqrt");
    }
}
