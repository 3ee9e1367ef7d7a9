package org.logophon.core.text.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class ReadingsFileTest {

    private static final List<Reading> READINGS = List.of(
            Reading.words("2.3 t", "two point three tonnes"),
            new Reading("UV", "", PronunciationKind.LETTERS, null, true),
            new Reading("Skerrow", "ˈskɛɹəʊ", PronunciationKind.IPA, "en-GB", false),
            Reading.words("<&>", "odd, \"signs\""));

    @Test
    void csvComesBackAsItWent() {
        assertThat(ReadingsFile.read(ReadingsCsv.write(READINGS)).readings()).isEqualTo(READINGS);
    }

    /**
     * PLS 1.0 (W3C Recommendation 14 October 2008), section 4: kinds have no form there and come back as the words they
     * stand for.
     */
    @Test
    void plsComesBackWithKindsAsWords() {
        String pls = ReadingsPls.write(READINGS, "en-GB");
        assertThat(pls)
                .contains("xmlns=\"http://www.w3.org/2005/01/pronunciation-lexicon\"")
                .contains("alphabet=\"ipa\"");
        assertThat(ReadingsFile.read(pls).readings())
                .extracting(Reading::written, r -> r.spoken("en-GB"))
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("2.3 t", "two point three tonnes"),
                                org.assertj.core.groups.Tuple.tuple("UV", "U V"),
                        org.assertj.core.groups.Tuple.tuple("Skerrow", "ˈskɛɹəʊ"),
                                org.assertj.core.groups.Tuple.tuple("<&>", "odd, \"signs\""));
    }

    /** The example of PLS 1.0, section 4.9.3: several graphemes of one lexeme, the first pronunciation preferred. */
    @Test
    void aLexemeWithSeveralGraphemesIsSeveralReadings() {
        ReadingsFile read = ReadingsFile.read(
                "<?xml version='1.0'?><lexicon version='1.0' "
                        + "xmlns='http://www.w3.org/2005/01/pronunciation-lexicon' alphabet='ipa' xml:lang='en'>"
                        + "<lexeme><grapheme>theater</grapheme><grapheme>theatre</grapheme><phoneme>ˈθɪətər</phoneme></lexeme>"
                        + "<lexeme><grapheme>huron</grapheme><phoneme>a</phoneme><phoneme>b</phoneme></lexeme><lexeme><grapheme>bare</grapheme></lexeme></lexicon>");
        assertThat(read.readings()).extracting(Reading::written).containsExactly("theater", "theatre", "huron");
        assertThat(read.readings().get(2).said()).isEqualTo("a");
        assertThat(read.skipped())
                .containsExactly("The entry \"bare\" was left out: it has no alias and no phoneme in IPA.");
    }

    @Test
    void badRowsAreListedAndTheOthersTaken() {
        ReadingsFile read = ReadingsFile.read("written,said,as\nUV,you vee\nLED,,letters\n,nothing\nX,y,sung\n");
        assertThat(read.readings()).hasSize(2);
        assertThat(read.skipped()).hasSize(2).allMatch(sentence -> sentence.startsWith("Row "));
    }

    @Test
    void aFormulaIsNoFormula() {
        String csv = ReadingsCsv.write(List.of(Reading.words("=1+1", "two")));
        assertThat(csv).contains("'=1+1");
        assertThat(ReadingsFile.read(csv).readings().get(0).written()).isEqualTo("=1+1");
    }

    @Test
    void whatIsNoListIsASentence() {
        assertThatThrownBy(() -> ReadingsFile.read("<html/>")).hasMessageContaining("no pronunciation lexicon");
        assertThatThrownBy(() -> ReadingsFile.read("<lexicon")).hasMessageContaining("well-formed");
        assertThatThrownBy(() -> ReadingsFile.read("")).hasMessageContaining("holds no readings");
        assertThatThrownBy(() -> ReadingsFile.read("<!DOCTYPE x [<!ENTITY x SYSTEM "
                        + "'file:///etc/passwd'>]><lexicon><lexeme><grapheme>&x;</grapheme></lexeme></lexicon>"))
                .hasMessageNotContaining("root:");
    }
}
