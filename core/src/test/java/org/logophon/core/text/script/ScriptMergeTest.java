package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScriptMergeTest {

    /** A bar stands for the blank line between cues. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "one|two|three; one|TWO|three; one|two|THREE; one|TWO|THREE",
                "one|two; ONE|two; one|TWO; ONE|TWO",
                "one|two; one|two|theirs; one|two|mine; one|two|theirs|mine",
                "one|two; first|one|two; one|two|last; first|one|two|last",
                "one|two|three; one|three; one|two|THREE; one|THREE",
                "one|two; one|new|two; one|TWO; one|new|TWO",
                "one|two; one|TWO; one|TWO; one|TWO",
                "one|two; one|TWO; one|two; one|TWO",
                "KEEPER: one|two; KEEPER: ONE|two; # Night|KEEPER: one|two; # Night|KEEPER: ONE|two"
            })
    void whatOnlyOneChangedIsTakenFromIt(String base, String theirs, String mine, String merged) {
        assertThat(ScriptMerge.of(text(base), text(theirs), text(mine))).contains(text(merged));
    }

    private static String text(String bars) {
        return bars.replace("|", "\n\n");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"one|two; one|TWO; one|Two", "one|two|three; one|three; one|TWO|three", "one; ONE; eins"})
    void whatBothChangedIsForAPersonToTell(String base, String theirs, String mine) {
        assertThat(ScriptMerge.of(text(base), text(theirs), text(mine))).isEmpty();
    }

    @Test
    void blankLinesAndLineBreaksStayAsTheyWere() {
        assertThat(ScriptMerge.of(
                        "one\nstill one\n\n\n\ntwo\n", "ONE\nstill one\n\n\n\ntwo\n", "one\nstill one\n\n\n\nTWO\n"))
                .contains("ONE\nstill one\n\n\n\nTWO\n");
        assertThat(ScriptMerge.of("", "theirs", "mine"))
                .as("two beginnings of an empty script don't run into one another")
                .isEmpty();
    }

    /** Whoever changes cues of their own finds every word of both in it. */
    @RepeatedTest(50)
    void noWordOfEitherIsLost() {
        Random random = new Random();
        List<String> cues =
                IntStream.range(0, 40).mapToObj(i -> "cue " + i).collect(Collectors.toCollection(ArrayList::new));
        List<String> theirs = new ArrayList<>(cues);
        List<String> mine = new ArrayList<>(cues);
        for (int i = 0; i < cues.size(); i++) {
            int who = random.nextInt(4);
            if (who == 0) {
                theirs.set(i, "theirs " + i);
            } else if (who == 1) {
                mine.set(i, "mine " + i);
            }
        }
        String merged =
                ScriptMerge.of(joined(cues), joined(theirs), joined(mine)).orElseThrow();
        List<String> wanted = new ArrayList<>();
        for (int i = 0; i < cues.size(); i++) {
            wanted.add(theirs.get(i).equals(cues.get(i)) ? mine.get(i) : theirs.get(i));
        }
        assertThat(Arrays.asList(merged.split("\n\n"))).isEqualTo(wanted);
    }

    private static String joined(List<String> cues) {
        return String.join("\n\n", cues);
    }
}
