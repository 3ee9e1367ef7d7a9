package org.logophon.core.text.normalization;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

    /** Spell-out, units, currencies and names of months: Unicode CLDR; the rest: common practice, no source. */
    @Test
    void germanFrenchSpanishAndItalianAreReadAsTheirSpeakersDo() throws IOException {
        Map<String, Integer> forms = new HashMap<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                SpokenFormsTest.class.getResourceAsStream("spoken-forms-other.tsv"), StandardCharsets.UTF_8))) {
            for (String line : lines.lines().filter(row -> !row.startsWith("#")).toList()) {
                String[] cells = line.split("\t");
                forms.merge(cells[0], 1, Integer::sum);
                assertThat(WrittenForms.in(cells[0]).find(cells[4])).as(line).anySatisfy(form -> {
                    assertThat(cells[4].substring(form.start(), form.end())).isEqualTo(cells[1]);
                    assertThat(form.kind().label()).isEqualTo(cells[2]);
                    assertThat(form.said().get(0)).isEqualTo(cells[3]);
                });
            }
        }
        assertThat(forms.keySet()).containsExactlyInAnyOrder("de", "fr", "es", "it");
        assertThat(forms.values()).allSatisfy(count -> assertThat(count).isGreaterThanOrEqualTo(60));
    }

    @ParameterizedTest
    @CsvSource({"Then I left.", "READ THE NOTE.", "Never look down.", "She said no and NOT yes.", "McGregor knew."})
    void plainWordsAreNoForms(String sentence) {
        assertThat(WrittenForms.in("en-GB").find(sentence)).isEmpty();
    }
}
