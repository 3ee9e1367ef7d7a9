package org.logophon.core.text.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Pairs of quotation marks as CLDR 45 has them for English, German, French, Danish books and Japanese (values from
 * memory).
 */
class QuotationsTest {

    private static List<String> quoted(String text) {
        return Quotations.of(text).stream()
                .map(word -> text.substring(word.start(), word.end()))
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "He wrote, “The lamp is out,” and closed the book.|The lamp is out",
                "“Hm,” he said. “It’s only ’tween tides!”|Hm;It’s only ’tween tides",
                "He wrote, \"The lamp is out,\" and closed it.|The lamp is out",
                "‘I don’t know,’ the keeper’s boy said.|I don’t know",
                "„Das Licht ist aus“, schrieb er.|Das Licht ist aus",
                "Il écrivit : « La lampe est éteinte. »|La lampe est éteinte",
                "Han skrev: »Lampen er slukket.«|Lampen er slukket",
                "「消えた」と書いた。|消えた",
                "“She said ‘no’ twice,” he wrote.|She said ‘no’ twice",
                "The keeper’s 6\" lens, and the crew’s rope.|~~",
                "An open “quote that never ends|~~",
                "“” and “…” say nothing.|~~"
            })
    void whatStandsBetweenTheMarks(String text, String expected) {
        assertThat(String.join(";", quoted(text))).isEqualTo(expected);
    }

    @Property(tries = 500, seed = "1")
    void anyTextIsRead(@ForAll String text) {
        List<Word> found = Quotations.of(text);
        for (int i = 0; i < found.size(); i++) {
            assertThat(found.get(i).start()).isLessThan(found.get(i).end());
            assertThat(i == 0 || found.get(i - 1).end() <= found.get(i).start()).isTrue();
        }
    }
}
