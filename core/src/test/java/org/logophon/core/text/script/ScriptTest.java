package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.ProcessorTime;

class ScriptTest {

    @Test
    void headingsRolesNotesAndHardWrappedLines() {
        Script script = Script.parse("""
                # The headland

                NARRATOR: At the top of Skerrow Head
                stands a lamp.

                It floats on a bath of mercury.

                KEEPER:
                Wind north-west.
                // ask the trust for the log book
                Force nine.

                ## One tide ##
                NARRATOR: The crew have one tide.
                """);
        assertThat(script.cues())
                .extracting(ScriptCue::text)
                .containsExactly(
                        "At the top of Skerrow Head stands a lamp.", "It floats on a bath of mercury.",
                        "Wind north-west. Force nine.", "The crew have one tide.");
        assertThat(script.cues())
                .extracting(ScriptCue::role)
                .containsExactly("Narrator", "Narrator", "Keeper", "Narrator");
        assertThat(script.cues())
                .extracting(ScriptCue::scene)
                .containsExactly("The headland", "The headland", "The headland", "One tide");
        assertThat(script.notes()).extracting(Script.Note::text).containsExactly("ask the trust for the log book");
        assertThat(script.roles()).containsExactly("Narrator", "Keeper");
    }

    @Test
    void aCueKnowsItsPlaceInTheSource() {
        String source = "First.\r\n\r\n  Second line\r\nwrapped.  \r\n";
        ScriptCue second = Script.parse(source).cues().get(1);
        assertThat(source.substring(second.start(), second.end()).strip()).isEqualTo("Second line\r\nwrapped.");
        assertThat(second.text()).isEqualTo("Second line wrapped.");
    }

    @Test
    void mixedCaseNamesCountOnlyInAScriptThatUsesNames() {
        assertThat(Script.parse("Welcome back.\n\nRemember: never look down.").roles())
                .containsExactly("Narrator");
        assertThat(Script.parse("Narrator: Hello.\n\nVisitor: It glows.").roles())
                .containsExactly("Narrator", "Visitor");
        assertThat(Script.parse("Welcome.\n\nKEEPER: Aye.\n\nVisitor: It glows.")
                        .roles())
                .containsExactly("Narrator", "Keeper", "Visitor");
    }

    @Test
    void aTimeOrALinkIsNoName() {
        assertThat(Script.parse("NARRATOR: Hi.\n\n4:52 was the hour.\n\nhttps://example.org is the place.")
                        .roles())
                .containsExactly("Narrator");
    }

    @Test
    void anyTextIsAScript() {
        assertThat(Script.parse("").cues()).isEmpty();
        assertThat(Script.parse("# \n\n// only a note\n\n---\n").cues()).isEmpty();
        assertThat(Script.parse("\u202e<script>alert(1)</script>\u0000").cues()).hasSize(1);
    }

    /** CommonMark 0.31, section 4.2, examples 62 to 76 in spirit. */
    @Test
    void headingsOfEveryShape() {
        assertThat(Script.parse("# a #\n## C#\n### \n#\tx ##\n####### seven\n#nospace")
                        .scenes())
                .extracting(Script.Scene::title)
                .containsExactly("a", "C#", "", "x");
    }

    private static long headingWithSpaces(int spaces) {
        String text = "# a" + " ".repeat(spaces) + "x";
        return ProcessorTime.of(() -> assertThat(Script.parse(text).scenes()).hasSize(1));
    }

    /** Four times as many; a backtracking pattern would take sixteen times the work, and hours. */
    @Test
    void spacesInAHeadingAreNoWork() {
        headingWithSpaces(10_000);
        assertThat((double) headingWithSpaces(400_000) / headingWithSpaces(100_000))
                .isLessThan(10);
    }

    @Test
    void aHeadingWithoutEndIsShownByItsBeginning() {
        for (String unit : new String[] {"x", "\uD83D\uDE00"}) {
            String scene = Script.parse("# " + unit.repeat(100_000) + "\n\nFog.")
                    .cues()
                    .get(0)
                    .scene();
            assertThat(scene.length()).isLessThanOrEqualTo(501);
            assertThat(scene).startsWith(unit).endsWith("…");
        }
    }

    @Test
    void whatCannotBeSpokenSaysSo() {
        assertThat(List.of("…", "***", "🙂"))
                .allSatisfy(text -> assertThat(ScriptCue.problem(text)).contains("no letter and no digit"));
        assertThat(ScriptCue.problem("word ".repeat(50_000)))
                .contains("250,000 characters")
                .contains("blank line");
        assertThat(ScriptCue.problem("Yes.")).isNull();
    }
}
