package org.logophon.core.review.suggest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.review.suggest.QuotedSpeech.Voicing;

class QuotedSpeechTest {

    private static final String LINE = "He wrote, “The lamp is out,” and closed the book.";
    private static final int START = LINE.indexOf("The");
    private static final int END = LINE.indexOf(",”");

    private static List<String> marks(Marks marks) {
        return marks.all().stream()
                .map(mark -> mark.instruction().id() + " " + mark.instruction().value() + ": "
                        + LINE.substring(mark.start(), mark.end()))
                .toList();
    }

    private static Marks said(Marks marks, Voicing voicing, String role) {
        return QuotedSpeech.said(marks, LINE, START, END, voicing, role);
    }

    @Test
    void aRoleOrATurnInOneStepAndBackAgain() {
        Marks keeper = said(Marks.NONE, Voicing.ROLE, "Keeper");
        assertThat(marks(keeper)).containsExactly("pause 200: wrote", "role Keeper: The lamp is out");
        assertThat(QuotedSpeech.in(LINE, keeper))
                .containsExactly(new QuotedSpeech.Quotation(START, END, Voicing.ROLE, "Keeper"));
        Marks turned = said(keeper, Voicing.TURNED, "");
        assertThat(marks(turned))
                .containsExactly("pause 200: wrote", "pace 95: The lamp is out", "pitch 1: The lamp is out");
        assertThat(QuotedSpeech.in(LINE, turned).get(0).voicing()).isEqualTo(Voicing.TURNED);
        assertThat(said(turned, Voicing.PLAIN, "")).isEqualTo(Marks.NONE);
    }

    @Test
    void whatSomebodySetStays() {
        int wrote = LINE.indexOf("wrote");
        Marks own = new Marks(List.of(
                Mark.own(wrote, wrote + 5, new Instruction.Pause(700)),
                Mark.own(START, END, new Instruction.Pitch(-4)),
                Mark.own(START, START + 3, new Instruction.Stress(Instruction.Level.STRONG))));
        Marks keeper = said(own, Voicing.ROLE, "Keeper");
        assertThat(marks(keeper))
                .contains(
                        "pause 700: wrote",
                        "pitch -4: The lamp is out",
                        "stress strong: The",
                        "role Keeper: The lamp is out")
                .hasSize(4);
        assertThat(said(keeper, Voicing.PLAIN, "")).isEqualTo(own);
    }

    @Test
    void atTheStartOfACueNoRestIsNeededAndOtherWordsAreRefused() {
        String first = "“Hm,” he said.";
        assertThat(QuotedSpeech.said(Marks.NONE, first, 1, 3, Voicing.ROLE, "Keeper")
                        .all())
                .hasSize(1);
        assertThatThrownBy(() -> QuotedSpeech.said(Marks.NONE, first, 1, 4, Voicing.ROLE, "Keeper"))
                .hasMessageContaining("isn't in the cue any more");
    }
}
