package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.text.estimate.ReferenceTime;

class SplittingTest {

    private static final String SCRIPT = """
            # The headland

            A lamp stood here. It was lit
            each night.

            Dr. Aldous came at noon.


            KEEPER: Fog. No. 4 is chipped.

            ---

            Then it was dark.
            """;

    private static List<String> texts(String splitting) {
        return Script.parse(SCRIPT, Splitting.parse(splitting), HandCuts.NONE, "en-GB").cues().stream()
                .map(ScriptCue::text)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "blank-line      | A lamp stood here. It was lit each night./Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark.",
                "two-blank-lines | A lamp stood here. It was lit each night. Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark.",
                "line            | A lamp stood here. It was lit/each night./Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark.",
                "sentence        | A lamp stood here./It was lit each night./Dr. Aldous came at "
                        + "noon./Fog./No. 4 is chipped./Then it was dark.",
                "heading         | A lamp stood here. It was lit each night. Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark.",
                "divider         | A lamp stood here. It was lit each night. Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark.",
                "words:8         | A lamp stood here./It was lit each night./Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark.",
                "characters:45   | A lamp stood here. It was lit each night./Dr. Aldous came at noon./Fog. "
                        + "No. 4 is chipped./Then it was dark."
            })
    void eachWayEndsCuesWhereItSays(String way, String cues) {
        assertThat(texts(way)).containsExactly(cues.split("/"));
    }

    @Test
    void aSentenceThatIsTooLongBreaksAtAClauseThenAtAWordAndIsReported() {
        String source = "Each prism is washed, wrapped in paper, and laid in the crate that was built. Short one.";
        Script script = Script.parse(source, Splitting.parse("words:7"), HandCuts.NONE, "en-GB");
        assertThat(script.cues())
                .extracting(ScriptCue::text)
                .containsExactly(
                        "Each prism is washed, wrapped in paper,",
                        "and laid in the crate that was",
                        "built. Short one.");
        assertThat(script.forced()).containsExactly(0, 1);
    }

    @Test
    void secondsAreTheEstimatedOnes() {
        String source = "One short sentence stands here. Another short sentence stands here. A third short "
                + "sentence stands here.";
        assertThat(Script.parse(source, Splitting.parse("seconds:4"), HandCuts.NONE, "en-GB")
                        .cues())
                .hasSize(3);
        assertThat(Script.parse(source, Splitting.parse("seconds:30"), HandCuts.NONE, "en-GB")
                        .cues())
                .hasSize(1);
    }

    @Test
    void handsSplitAndJoinAnywhere() {
        String source = "One two three.\n\nFour five.";
        HandCuts cuts = HandCuts.NONE.split(source.indexOf("two")).join(source.indexOf("Four"));
        Script script = Script.parse(source, Splitting.DEFAULT, cuts, "en-GB");
        assertThat(script.cues()).extracting(ScriptCue::text).containsExactly("One", "two three. Four five.");
        assertThat(script.cues().get(1).sourceAt(0)).isEqualTo(source.indexOf("two"));
    }

    @Test
    void splittingWhereAJoinWasMadeTakesTheJoinBack() {
        assertThat(HandCuts.NONE.join(10).split(10).isEmpty()).isTrue();
        assertThat(HandCuts.NONE.split(10).join(10).isEmpty()).isTrue();
    }

    @Test
    void aJoinNeverCrossesASceneOrARole() {
        String source = "One.\n\nKEEPER: Two.\n\n# Next\n\nThree.";
        HandCuts cuts = HandCuts.NONE.join(source.indexOf("Two")).join(source.indexOf("Three"));
        assertThat(Script.parse(source, Splitting.DEFAULT, cuts, "en-GB").cues())
                .hasSize(3);
    }

    @Test
    void anUnknownWayIsASentence() {
        assertThatThrownBy(() -> Splitting.parse("paragraph")).hasMessageContaining("Use blank-line");
        assertThatThrownBy(() -> Splitting.parse("words:0")).hasMessageContaining("3 to 1,000 words");
        assertThatThrownBy(() -> Splitting.parse("words")).hasMessageContaining("words:N");
    }

    /** Splitting loses and repeats no word, whatever the way and wherever hands have cut. */
    @Property(tries = 300, seed = "1")
    void noWordIsLostOrRepeated(
            @ForAll("scripts") String source, @ForAll("ways") String way, @ForAll("places") List<Integer> places) {
        HandCuts cuts = HandCuts.NONE;
        for (int i = 0; i < places.size(); i++) {
            cuts = i % 2 == 0 ? cuts.split(places.get(i)) : cuts.join(places.get(i));
        }
        String wanted =
                source.replaceAll("(?m)^# .*$", " ").replaceAll("\\s+", " ").strip();
        List<ScriptCue> cues =
                Script.parse(source, Splitting.parse(way), cuts, "en-GB").cues();
        assertThat(cues.stream().map(ScriptCue::text).collect(Collectors.joining(" ")))
                .isEqualTo(wanted);
        for (ScriptCue cue : cues) {
            for (Word word : cue.words()) {
                assertThat(source.startsWith(word.in(cue.text()).substring(0, 1), cue.sourceAt(word.start())))
                        .isTrue();
            }
        }
    }

    @Provide
    Arbitrary<String> scripts() {
        Arbitrary<String> piece = Arbitraries.of(
                "sea",
                "lamp,",
                "Dr.",
                "no",
                "4.5",
                "ends.",
                "so?",
                "\n",
                "\n\n",
                "\n\n\n",
                "\n\n# A scene\n\n",
                "Ffîon",
                "é");
        return piece.list()
                .ofMinSize(1)
                .ofMaxSize(60)
                .map(pieces -> String.join(" ", pieces).replaceAll(" ?\n ?", "\n"));
    }

    @Provide
    Arbitrary<String> ways() {
        return Combinators.combine(
                        Arbitraries.of(
                                "blank-line",
                                "two-blank-lines",
                                "line",
                                "sentence",
                                "heading",
                                "divider",
                                "words:3",
                                "words:9",
                                "characters:25",
                                "seconds:2"),
                        Arbitraries.of(1))
                .as((way, one) -> way);
    }

    @Provide
    Arbitrary<List<Integer>> places() {
        return Arbitraries.integers().between(0, 250).list().ofMaxSize(6);
    }

    @Test
    void aSlowVoiceGetsShorterCuesAndTheScriptKeepsThem() {
        String source = "The keeper counted the ships. ".repeat(40).strip();
        Splitting usual = Splitting.parse("seconds:20");
        Splitting slow = usual.at(1.25);
        assertThat(slow.id()).isEqualTo("seconds:20:1.250");
        assertThat(Splitting.parse(slow.id())).isEqualTo(slow);
        assertThat(usual.at(1).id()).isEqualTo("seconds:20");
        assertThat(Splitting.parse("words:40").at(1.25).id()).isEqualTo("words:40");
        for (Splitting one : List.of(usual, slow)) {
            assertThat(Script.parse(source, one, HandCuts.NONE, "en-GB").cues())
                    .hasSizeGreaterThan(3)
                    .allSatisfy(cue -> assertThat(ReferenceTime.seconds(cue.text(), "en-GB") * one.tempo())
                            .isLessThan(20));
        }
        assertThatThrownBy(() -> Splitting.parse("words:40:1.2")).hasMessageContaining("words:N");
        assertThatThrownBy(() -> Splitting.parse("seconds:40:0")).hasMessageContaining("times the usual");
        assertThatThrownBy(() -> Splitting.parse("seconds:40:1e9")).hasMessageContaining("seconds:N");
    }

    @Test
    void aLongTextIsCutWhereSentencesBegin() {
        String text = "The keeper counted the ships. “Seven,” he said, and smiled. "
                .repeat(20)
                .strip();
        List<Integer> starts = Splitting.parse("seconds:15").starts(text, "en-GB");
        assertThat(starts)
                .hasSizeGreaterThan(3)
                .isSorted()
                .allSatisfy(start -> assertThat(text.substring(start)).matches("(?s)(The keeper|“?Seven).*"));
        assertThat(Splitting.parse("seconds:600").starts(text, "en-GB")).isEmpty();
    }
}
