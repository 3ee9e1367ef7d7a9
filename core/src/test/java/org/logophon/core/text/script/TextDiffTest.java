package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.logophon.core.text.script.TextDiff.Kind;
import org.logophon.core.text.script.TextDiff.Segment;

class TextDiffTest {

    @Test
    void showsWhatWasTakenOutAndPutIn() {
        assertThat(TextDiff.of("The lamp was lit at dusk.", "The old lamp was lit at dawn.")
                        .pieces())
                .containsExactly(
                        new Segment(Kind.SAME, "The"),
                        new Segment(Kind.NEW, " old"),
                        new Segment(Kind.SAME, " lamp was lit at "),
                        new Segment(Kind.GONE, "dusk"),
                        new Segment(Kind.NEW, "dawn"),
                        new Segment(Kind.SAME, "."));
    }

    @Test
    void aPlaceStaysAtItsWord() {
        String before = "One two three. Four five six.";
        String after = "Zero one, two and three. Four or five six.";
        TextDiff diff = TextDiff.of(before, after);
        assertThat(diff.moved(before.indexOf("three"))).isEqualTo(after.indexOf("three"));
        assertThat(diff.moved(before.indexOf("five"))).isEqualTo(after.indexOf("five"));
    }

    @Test
    void aRewrittenWordKeepsItsPlace() {
        String before = "The crane lifts it.";
        String after = "The winch lifts it.";
        assertThat(TextDiff.of(before, after).moved(before.indexOf("crane"))).isEqualTo(after.indexOf("winch"));
    }

    @Test
    void aLineThatMovedTakesItsPlacesAlong() {
        String before = "First line of the script.\nSecond line of the script.\nThird line that stays there.\n";
        String after = "Second line of the script.\nThird line that stays there.\nFirst line of the script.\n";
        assertThat(TextDiff.of(before, after).moved(before.indexOf("line of")))
                .isEqualTo(after.indexOf("First") + "First ".length());
    }

    @Test
    void anotherTextOfAnySizeIsComparedInTime() {
        String before = "one two three four.\n".repeat(30_000);
        String after = "fünf sechs sieben acht neun.\n".repeat(30_000);
        assertThat(TextDiff.of(before, after).pieces()).isNotEmpty();
    }

    /** The pieces that stayed or went are the old text, those that stayed or came the new one. */
    @Property(tries = 300, seed = "1")
    void thePiecesAreBothTexts(@ForAll("texts") String before, @ForAll("texts") String after) {
        List<Segment> pieces = TextDiff.of(before, after).pieces();
        assertThat(without(pieces, Kind.NEW)).isEqualTo(before);
        assertThat(without(pieces, Kind.GONE)).isEqualTo(after);
    }

    @Property(tries = 200, seed = "1")
    void everyPlaceStaysInsideTheText(@ForAll("texts") String before, @ForAll("texts") String after) {
        TextDiff diff = TextDiff.of(before, after);
        for (int place = 0; place <= before.length(); place++) {
            assertThat(diff.moved(place)).isBetween(-1, after.length());
        }
    }

    private static String without(List<Segment> pieces, Kind kind) {
        return pieces.stream()
                .filter(piece -> piece.kind() != kind)
                .map(Segment::text)
                .collect(Collectors.joining());
    }

    @Provide
    Arbitrary<String> texts() {
        return Arbitraries.of("sea", "lamp", "lamp,", "4.5", " ", "\n", "no", "é", "🙂", "No")
                .list()
                .ofMaxSize(30)
                .map(words -> String.join(" ", words));
    }
}
