package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.ProcessorTime;

class FindTest {

    @Test
    void wordsCaseAndExpressions() {
        String text = "The lamp, the lamps, a LAMP.";
        assertThat(Find.of("lamp", false, false, false).replace(text, "light"))
                .isEqualTo("The light, the lights, a light.");
        assertThat(Find.of("lamp", true, true, false).replace(text, "light"))
                .isEqualTo("The light, the lamps, a LAMP.");
        assertThat(Find.of("(\\w+), the", false, false, true).replace(text, "$1 and the $$9"))
                .isEqualTo("The lamp and the $$9 lamps, a LAMP.");
        assertThat(Find.of("a.", false, false, false).hits(text, "", 100))
                .as("a dot is a dot")
                .isEmpty();
        assertThat(Find.of("^", false, false, true).hits(text, "x", 100))
                .as("nothing is no match")
                .isEmpty();
    }

    private static long work(String pattern, int characters) {
        String text = "a".repeat(characters) + "b";
        return ProcessorTime.of(() -> Find.of(pattern, false, false, true).hits(text, "", 100));
    }

    /** Four times the text; by the square it would be sixteen, and by a backtracking pattern it would never end. */
    @ParameterizedTest
    @ValueSource(strings = {"(a+)+$", "(a|aa)*c"})
    void noPatternRunsAway(String pattern) {
        work(pattern, 5_000);
        assertThat((double) work(pattern, 80_000) / work(pattern, 20_000)).isLessThan(8);
    }

    @Test
    void whatCannotBeReadIsASentence() {
        assertThatThrownBy(() -> Find.of("(", false, false, true)).hasMessageContaining("can't be read");
        assertThatThrownBy(() -> Find.of("(?=a)", false, false, true)).hasMessageContaining("can't be read");
        assertThatThrownBy(() -> Find.of("", false, false, false)).hasMessageContaining("what to look for");
    }

    @Test
    void whatWouldGrowBeyondAScriptIsKnownBeforeItIsMade() {
        String many = "a ".repeat(30_000);
        assertThatThrownBy(() -> Find.of("a", false, false, false).replace(many, "b".repeat(500)))
                .hasMessageContaining("over 2,000,000 characters");
        assertThatThrownBy(() -> Find.of("(?s)(.{900})", false, false, true).replace(many, "$1".repeat(250)))
                .hasMessageContaining("over 2,000,000 characters");
        assertThatThrownBy(() -> Find.of("a", false, false, false).replace(many, "b".repeat(20_000)))
                .hasMessageContaining("500 characters at most");
        assertThat(Find.of("(?s)(.{900})", false, false, true).hits(many, "$1".repeat(250), 10))
                .hasSize(10)
                .allSatisfy(hit -> assertThat(hit.instead()).hasSize(201));
        assertThat(Find.of("a", false, false, false).count(many)).isEqualTo(30_000);
    }
}
