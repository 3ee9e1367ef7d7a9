package org.logophon.core.text.normalization;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The list of written forms with the source of each convention: {@code spoken-forms.tsv}. */
class SpokenFormsTest {

    private record Row(String written, String kind, String british, String american, String sentence) {}

    @TestFactory
    Stream<DynamicTest> isSaidInBritishAndAmericanEnglish() throws IOException {
        return rows().stream()
                .flatMap(row -> Stream.of(
                        DynamicTest.dynamicTest(row.written + ", British", () -> check("en-GB", row, row.british)),
                        DynamicTest.dynamicTest(row.written + ", American", () -> check("en-US", row, row.american))));
    }

    @Test
    void theListHoldsThreeHundredForms() throws IOException {
        assertThat(rows()).hasSizeGreaterThan(300);
    }

    private static void check(String language, Row row, String wanted) {
        int at = row.sentence.indexOf(row.written);
        List<WrittenForm> found = WrittenForms.in(language).find(row.sentence);
        assertThat(found).as(row.sentence).anySatisfy(form -> {
            assertThat(form.start()).isEqualTo(at);
            assertThat(form.end()).isEqualTo(at + row.written.length());
            assertThat(form.said().get(0)).isEqualTo(wanted);
            assertThat(form.kind().label()).isEqualTo(row.kind);
        });
    }

    private static List<Row> rows() throws IOException {
        List<Row> rows = new ArrayList<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                SpokenFormsTest.class.getResourceAsStream("spoken-forms.tsv"), StandardCharsets.UTF_8))) {
            lines.lines()
                    .filter(line -> line.contains("\t") && !line.startsWith("#written"))
                    .forEach(line -> {
                        String[] cells = line.split("\t", -1);
                        String sentence = cells.length > 5 ? cells[5] : "We saw " + cells[0] + " there.";
                        rows.add(new Row(
                                cells[0], cells[1], cells[2], cells[3].isEmpty() ? cells[2] : cells[3], sentence));
                    });
        }
        return rows;
    }

    /** Spell-out, units and names of months: Unicode CLDR; how a date's day is said: common practice, no source. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "de | Am 4. März 1911 kam Nebel.  | 4. März 1911 | date | vierter März neunzehnhundertelf",
                "de | Sie wog 2,3 t und hielt.    | 2,3 t        | unit | zwei Komma drei Tonnen",
                "de | Es waren 360 Prismen.       | 360          | number | dreihundertsechzig",
                "de | Die 3. Stufe fehlt.         | 3.           | ordinal | dritter",
                "de | Um 14:30 Uhr kam der Kran.  | 14:30 Uhr    | time | vierzehn Uhr dreißig",
                "de | Im UV leuchtet es.          | UV           | acronym | U V",
                "fr | Le 4 mars 1911, brouillard. | 4 mars 1911  | date | quatre mars dix-neuf-cent onze",
                "fr | La 2e lampe est neuve.      | 2e           | ordinal | deuxième",
                "fr | Il y a 360 prismes.         | 360          | number | trois cent soixante",
                "fr | La TVA reste.               | TVA          | acronym | T V A",
                "es | El 4 de marzo de 1911.      | 4 de marzo de 1911 | date | cuatro de marzo de mil "
                        + "novecientos once",
                "es | Hay 360 prismas.            | 360          | number | trescientos sesenta",
                "es | La 3.ª lámpara.             | 3.ª          | ordinal | tercera",
                "es | La ONU vino.                | ONU          | acronym | O N U"
            })
    void otherLanguagesAreReadByCldr(String language, String sentence, String written, String kind, String said) {
        assertThat(WrittenForms.in(language).find(sentence)).anySatisfy(form -> {
            assertThat(sentence.substring(form.start(), form.end())).isEqualTo(written);
            assertThat(form.kind().label()).isEqualTo(kind);
            assertThat(form.said().get(0)).isEqualTo(said);
        });
    }

    @ParameterizedTest
    @CsvSource({"Then I left.", "READ THE NOTE.", "Never look down.", "She said no and NOT yes.", "McGregor knew."})
    void plainWordsAreNoForms(String sentence) {
        assertThat(WrittenForms.in("en-GB").find(sentence)).isEmpty();
    }
}
