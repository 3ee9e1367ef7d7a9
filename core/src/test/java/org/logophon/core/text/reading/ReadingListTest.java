package org.logophon.core.text.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.voice.render.SpokenText;

class ReadingListTest {

    private static ReadingList list(Reading... readings) {
        return new ReadingList(List.of(List.of(readings)));
    }

    private static String spoken(String text, Reading... readings) {
        return SpokenText.of(text, list(readings).said(text, "en-GB"), "en-GB").text();
    }

    @Test
    void matchesWholeWordsOnly() {
        assertThat(spoken("The UV lamp, UVs and a fUVs.", Reading.words("UV", "you vee")))
                .isEqualTo("The you vee lamp, UVs and a fUVs.");
    }

    @Test
    void theLongestWins() {
        assertThat(spoken("No. 4 and No. 5", Reading.words("No.", "number"), Reading.words("No. 4", "number four")))
                .isEqualTo("number four and number 5");
    }

    @Test
    void capitalsCountWhereTheEntrySaysSo() {
        Reading town = new Reading("Reading", "redding", PronunciationKind.WORDS, null, true);
        assertThat(spoken("Reading a book in Reading, reading.", town))
                .isEqualTo("redding a book in redding, reading.");
        assertThat(spoken("reading.", town)).isEqualTo("reading.");
    }

    @Test
    void theProjectOverridesTheHouse() {
        ReadingList both = new ReadingList(
                List.of(List.of(Reading.words("Skerrow", "skerro")), List.of(Reading.words("Skerrow", "skair oh"))));
        assertThat(both.said("Skerrow Head", "en-GB").get(0).words()).isEqualTo("skerro");
    }

    @Test
    void aReadingForALanguageHoldsForItsVoicesOnly() {
        ReadingList german = list(new Reading("Rad", "rat", PronunciationKind.WORDS, "de", false));
        assertThat(german.said("Das Rad", "de")).hasSize(1);
        assertThat(german.said("A Rad", "en-GB")).isEmpty();
    }

    @Test
    void kindsFollowFromTheForm() {
        assertThat(spoken("The RNLI boat", new Reading("RNLI", "", PronunciationKind.LETTERS, null, false)))
                .isEqualTo("The R N L I boat");
        assertThat(spoken("Room 204", new Reading("204", "", PronunciationKind.DIGITS, null, false)))
                .isEqualTo("Room two zero four");
        assertThat(spoken("On 4/3/1911 at", new Reading("4/3/1911", "", PronunciationKind.DATE, null, false)))
                .isEqualTo("On the fourth of March nineteen eleven at");
        assertThat(spoken("Lap 3", new Reading("3", "", PronunciationKind.ORDINAL, null, false)))
                .isEqualTo("Lap third");
    }

    @Test
    void symbolsTouchingWordsAreFound() {
        assertThat(spoken("2.3 t of glass", Reading.words("2.3 t", "two point three tonnes")))
                .isEqualTo("two point three tonnes of glass");
        assertThat(spoken("It cost £38,500.", Reading.words("£38,500", "a lot")))
                .isEqualTo("It cost a lot.");
    }

    @Test
    void everyCharacterKnowsWhereItCameFrom() {
        String text = "The 2.3 t lens";
        SpokenText spoken = SpokenText.of(
                text, list(Reading.words("2.3 t", "two point three tonnes")).said(text, "en-GB"), "en-GB");
        assertThat(spoken.writtenAt(spoken.text().indexOf("three"))).isEqualTo(4);
        assertThat(spoken.writtenAt(spoken.text().indexOf("lens"))).isEqualTo(text.indexOf("lens"));
        assertThat(spoken.written())
                .hasSize(spoken.text().codePointCount(0, spoken.text().length()));
    }

    @Test
    void anEmptyReadingIsASentence() {
        assertThatThrownBy(() -> Reading.words("UV", " ")).hasMessageContaining("How \"UV\" is said is missing");
        assertThatThrownBy(() -> Reading.words("", "x")).hasMessageContaining("1 to 200 characters");
        assertThatThrownBy(() -> PronunciationKind.of("sung")).hasMessageContaining("no way to say something");
    }
}
