package org.logophon.core.text.reading;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How English speakers take sounds that they don't have. */
class NearestSoundsTest {

    @ParameterizedTest
    @CsvSource({
        "bɔ̃ʒˈuʁ, bɔnʒˈuɹ",
        "lymjˈɛʁ, luːmjˈɛɹ",
        "mˈoːr, mˈoːɹ",
        "ˈaxən, ˈakən",
        "ɬˈan, θlˈan",
        "kˈystə, kˈuːstə",
        "ʃˈøːn, ʃˈɜːːn",
        "ɲˈɔkki, njˈɔkki",
        "t͡ʃˈaʊ, tʃˈaʊ",
        "lˈamp, lˈamp",
        "(fr)ˈa-b_1, fɹˈab"
    })
    void aSoundBecomesTheNearestThatEnglishHas(String ipa, String english) {
        assertThat(NearestSounds.english(ipa)).isEqualTo(english.replace("ɜːː", "ɜː"));
    }
}
