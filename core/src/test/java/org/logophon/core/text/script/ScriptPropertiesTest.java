package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class ScriptPropertiesTest {

    @Property(tries = 300, seed = "1")
    void splittingLosesAndRepeatsNoWord(@ForAll("paragraphs") List<String> paragraphs) {
        String source = String.join("\n\n", paragraphs);
        String joined =
                Script.parse(source).cues().stream().map(ScriptCue::text).collect(Collectors.joining(" "));
        assertThat(wordsOf(joined)).isEqualTo(wordsOf(source));
    }

    @Property(tries = 300, seed = "1")
    void aMatchUsesNoOldCueTwice(@ForAll("paragraphs") List<String> before, @ForAll("paragraphs") List<String> after) {
        int[] matched = CueMatch.match(before, after);
        assertThat(matched).hasSize(after.size());
        int[] old = IntStream.of(matched).filter(i -> i >= 0).toArray();
        assertThat(IntStream.of(old).distinct().count()).isEqualTo(old.length);
    }

    @Property(tries = 200, seed = "1")
    void deletingOneCueKeepsAllOthers(@ForAll("paragraphs") List<String> before) {
        int gone = before.size() / 2;
        List<String> after = new ArrayList<>(before);
        after.remove(gone);
        int[] matched = CueMatch.match(before, after);
        for (int i = 0; i < after.size(); i++) {
            assertThat(before.get(matched[i])).isEqualTo(after.get(i));
        }
    }

    @Provide
    Arbitrary<List<String>> paragraphs() {
        Arbitrary<String> word = Arbitraries.of(
                "lamp",
                "lens",
                "4:52",
                "2.3",
                "t,",
                "north-west",
                "Skerrow",
                "£38,500.",
                "it’s",
                "été",
                "灯台",
                "keeper\nlog",
                "😀");
        return word.list()
                .ofMinSize(1)
                .ofMaxSize(12)
                .map(words -> "x " + String.join(" ", words))
                .list()
                .ofMinSize(1)
                .ofMaxSize(20);
    }

    private static List<String> wordsOf(String text) {
        return Words.of(text).stream().map(w -> w.in(text)).toList();
    }
}
