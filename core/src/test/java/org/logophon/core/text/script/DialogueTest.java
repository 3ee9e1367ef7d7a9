package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DialogueTest {

    private static final String TWO = "DOVER: I was never here.\nKENT: You were.";

    @ParameterizedTest
    @ValueSource(
            strings = {
                "blank-line",
                "two-blank-lines",
                "line",
                "sentence",
                "heading",
                "divider",
                "words:200",
                "seconds:40"
            })
    void aNameOnTheNextLineSpeaksInEveryWayOfSplitting(String splitting) {
        List<ScriptCue> cues = Script.parse(TWO, Splitting.parse(splitting), HandCuts.NONE, "en-GB")
                .cues();
        assertThat(cues)
                .extracting(ScriptCue::role, ScriptCue::text)
                .containsExactly(tuple("Dover", "I was never here."), tuple("Kent", "You were."));
    }

    private static List<ScriptCue> cues(String text) {
        return Script.parse(text).cues();
    }

    @Test
    void whatGoesOnBelongsToWhoSpokeLast() {
        assertThat(cues("DOVER: I was never\nhere at all.\nKENT: You were.\nI saw you."))
                .extracting(ScriptCue::role, ScriptCue::text)
                .containsExactly(tuple("Dover", "I was never here at all."), tuple("Kent", "You were. I saw you."));
    }

    @Test
    void aDialogueMayBeginUnderALineOfNarration() {
        assertThat(cues("They met at the lamp.\r\nDOVER: You came.\r\nKENT: I did."))
                .extracting(ScriptCue::role)
                .containsExactly("Narrator", "Dover", "Kent");
    }

    @Test
    void oneNameInsideAParagraphIsNoDialogue() {
        assertThat(cues("They met at the lamp.\nNOTE: it was dark.")).hasSize(1);
        assertThat(cues("KEEPER: Fog.\n\nKeeper: Fog till noon.\nRemember: never look down."))
                .extracting(ScriptCue::text)
                .containsExactly("Fog.", "Fog till noon. Remember: never look down.");
    }

    private static final String SCREENPLAY = """
            INT. LIGHTHOUSE - NIGHT

            The lamp turns. Nobody speaks.

                            DOVER
                        (softly)
                    I was never here.

                            KENT (V.O.)
                    You were.
                    I saw you.

            Dover leaves.

                            DOVER
                    Good night.
            """;

    @ParameterizedTest
    @ValueSource(strings = {"blank-line", "sentence", "heading", "words:200"})
    void theLayoutOfAScreenplayHasItsSpeakersAndScenes(String splitting) {
        Script script = Script.parse(SCREENPLAY, Splitting.parse(splitting), HandCuts.NONE, "en-GB");
        assertThat(script.cues())
                .extracting(ScriptCue::role)
                .containsSubsequence("Narrator", "Dover", "Kent", "Narrator", "Dover");
        assertThat(script.cues()).extracting(ScriptCue::role).containsOnly("Narrator", "Dover", "Kent");
        assertThat(script.cues()).extracting(ScriptCue::scene).containsOnly("INT. LIGHTHOUSE - NIGHT");
        assertThat(script.cues().stream().map(ScriptCue::text).toList().toString())
                .contains("You were.", "Good night.", "Dover leaves.")
                .doesNotContain("DOVER", "V.O.");
    }

    @Test
    void aTitleInCapitalsOverItsTextIsNoSpeaker() {
        assertThat(cues("THE LIGHTHOUSE\nIt was built in 1911.\n\nTHE KEEPER\nHe came later."))
                .extracting(ScriptCue::role, ScriptCue::text)
                .containsExactly(
                        tuple("Narrator", "THE LIGHTHOUSE It was built in 1911."),
                        tuple("Narrator", "THE KEEPER He came later."));
    }
}
