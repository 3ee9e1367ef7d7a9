package org.logophon.core.text.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class CueReadingsTest {

    private static final String TEXT = "Read the log, then read it again at Skerrow.";
    private static final ReadingList HOUSE =
            new ReadingList(List.of(List.of(Reading.words("read", "reed"), Reading.words("Skerrow", "skerro"))));

    private static PlacedReading at(int start, String written, String said) {
        return new PlacedReading(start, Reading.words(written, said));
    }

    private static List<String> said(PlacedReading... places) {
        return new CueReadings(HOUSE, List.of(places))
                .said(TEXT, "en-GB").stream()
                        .map(place -> TEXT.substring(place.start(), place.end()) + " " + place.words())
                        .toList();
    }

    @Test
    void aListHoldsWhereNoPlaceSaysOtherwise() {
        assertThat(said()).containsExactly("Read reed", "read reed", "Skerrow skerro");
    }

    @Test
    void aPlaceComesBeforeTheListAndTheOthersStay() {
        assertThat(said(at(TEXT.indexOf("read it"), "read", "red")))
                .containsExactly("Read reed", "read red", "Skerrow skerro");
    }

    @Test
    void asItIsWrittenTakesTheListsReadingAwayThere() {
        assertThat(said(at(TEXT.indexOf("read it"), "read", "read"))).containsExactly("Read reed", "Skerrow skerro");
    }

    @Test
    void aPlaceWhoseWordsAreOthersByNowCountsForNothing() {
        assertThat(said(at(TEXT.indexOf("log"), "lamp", "light"), at(400, "read", "red")))
                .containsExactly("Read reed", "read reed", "Skerrow skerro");
    }

    @Test
    void whatIsSettledIsListedWithItsReading() {
        assertThat(new CueReadings(
                                ReadingList.NONE, List.of(at(TEXT.indexOf("log"), "log", "logg"), at(0, "lamp", "x")))
                        .settled(TEXT, "en-GB"))
                .singleElement()
                .satisfies(match -> assertThat(match.reading().said()).isEqualTo("logg"));
    }
}
