package org.logophon.app.services.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Splitting;

class ScriptParsingTest {

    private static final ScriptShape BLANK_LINES =
            new ScriptShape(Splitting.DEFAULT, HandCuts.NONE, CueNumbers.DEFAULT, false);
    private static final String TEXT = "One line.\n\nAnother one. And more.";

    private final ScriptParsing scripts = new ScriptParsing();

    @Test
    void theSameTextInTheSameShapeIsParsedOnce() {
        Script first = scripts.of(TEXT, BLANK_LINES, "en-GB");
        assertThat(scripts.of(new String(TEXT), BLANK_LINES, "en-GB")).isSameAs(first);
        // numbers have no say in where cues fall
        assertThat(scripts.of(
                        TEXT,
                        new ScriptShape(Splitting.DEFAULT, HandCuts.NONE, new CueNumbers(1, 1, 2, "A"), true),
                        "en-GB"))
                .isSameAs(first);
    }

    @Test
    void anotherShapeIsAnotherScript() {
        assertThat(scripts.of(TEXT, BLANK_LINES, "en-GB").cues()).hasSize(2);
        assertThat(scripts.of(TEXT, BLANK_LINES.with(Splitting.parse("sentence")), "en-GB")
                        .cues())
                .hasSize(3);
        assertThat(scripts.of(TEXT, BLANK_LINES.with(HandCuts.NONE.split(TEXT.indexOf("And"))), "en-GB")
                        .cues())
                .extracting(ScriptCue::text)
                .containsExactly("One line.", "Another one.", "And more.");
        assertThat(scripts.of(TEXT, BLANK_LINES, "en-GB").cues()).hasSize(2);
    }

    @Test
    void manyAtOnceGetEachTheirOwn() {
        IntStream.range(0, 400)
                .parallel()
                .forEach(i -> assertThat(scripts.of("Text " + i % 20 + ".", BLANK_LINES, "en-GB")
                                .cues()
                                .get(0)
                                .text())
                        .isEqualTo("Text " + i % 20 + "."));
    }
}
