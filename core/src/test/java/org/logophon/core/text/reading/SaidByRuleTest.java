package org.logophon.core.text.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.voice.render.SpokenText;

class SaidByRuleTest {

    private static String spoken(String text, String language, CueReadings readings) {
        return SpokenText.of(text, readings.said(text, language), language).text();
    }

    private static String spoken(String text, String language) {
        return spoken(text, language, new CueReadings(ReadingList.NONE, List.of()));
    }

    /** What an engine is given, and no engine sees a figure or initials. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en-US | It has 360 prisms. | It has three hundred sixty prisms.",
                "en-GB | It has 360 prisms. | It has three hundred and sixty prisms.",
                "en-US | The AI tool. | The eigh I tool.",
                "en-US | Our SEO and the FAQ. | Our S E O and the F eigh Q.",
                "en-US | Two PCs and an LED. | Two P C's and an L E D.",
                "en-US | That was plan A. | That was plan eigh.",
                "de | Die AG baut ihn. | Die A G baut ihn.",
                "fr | Un test ADN suffit. | Un test A D N suffit.",
                "en-US | We have IT here. | We have I T here.",
                "en-US | DO IT NOW. | DO IT NOW.",
                "en-US | I AM here. | I AM here.",
                "en-US | It is HOT, and I said NO. | It is HOT, and I said NO.",
                "en-US | NASA, NATO and IBM. | nasa, nato and I B M.",
                "en-GB | Since 1746 it stood. | Since seventeen forty-six it stood.",
                "en-GB | A lens of 2.3 t cost £38,500. | A lens of two point three tonnes cost "
                        + "thirty-eight thousand five hundred pounds.",
                "en-GB | Skerrow Lamps Ltd. | Skerrow Lamps limited.",
                "en-US | He read it, and we use a live wire. | He red it, and we yooz a lyve wire.",
                "en-GB | The wind will wind the log. | The wind will wined the log.",
                "de-DE | Das read use. | Das read use.",
                "en-US | Come in. (softly) It is late. | Come in.   It is late.",
                "en-US | It was [pause 1.5] the lamp. | It was   the lamp.",
                "en-US | The lamp (which was old) broke. | The lamp (which was old) broke.",
                "en-US | (laughs) | (laughs)",
                "de-DE | Es hat 360 Prismen. | Es hat dreihundertsechzig Prismen."
            })
    void enginesAreGivenWords(String language, String text, String spoken) {
        assertThat(spoken(text, language)).isEqualTo(spoken);
    }

    @Test
    void aReadingBeatsTheRuleAndOneOfThePlaceBeatsBoth() {
        Reading listed = Reading.words("360", "three sixty");
        CueReadings list = new CueReadings(new ReadingList(List.of(List.of(listed))), List.of());
        assertThat(spoken("It has 360 prisms and 12 doors.", "en-US", list))
                .isEqualTo("It has three sixty prisms and twelve doors.");
        CueReadings place = new CueReadings(
                new ReadingList(List.of(List.of(listed))),
                List.of(new PlacedReading(7, Reading.words("360", "all the"))));
        assertThat(spoken("It has 360 prisms.", "en-US", place)).isEqualTo("It has all the prisms.");
    }

    @Test
    void whatIsToBeReadAsWrittenIsLeftAlone() {
        CueReadings asWritten =
                new CueReadings(ReadingList.NONE, List.of(new PlacedReading(4, Reading.words("LED", "LED"))));
        assertThat(spoken("The LED and the UV lamp.", "en-US", asWritten)).isEqualTo("The LED and the U V lamp.");
    }
}
