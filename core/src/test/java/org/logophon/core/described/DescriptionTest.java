package org.logophon.core.described;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;

class DescriptionTest {

    private static final Set<String> PLACES = Set.of("scottish", "german");

    private static Description of(String words) {
        return Description.of(words, PLACES);
    }

    @ParameterizedTest
    @CsvSource({
        "a deep voice,-1,0,0,0",
        "very high,2,0,0,0",
        "LOW and Slow,-1,-1,0,0",
        "extremely fast,0,2,0,0",
        "lively; bright!,0,0,1,1",
        "warm monotone,0,0,-1,-1",
        "brisk crisp sing-song,0,1,1,1"
    })
    void wordsAreScales(String words, int pitch, int pace, int range, int colour) {
        Description description = of(words);
        assertThat(new int[] {description.pitch(), description.pace(), description.range(), description.colour()})
                .containsExactly(pitch, pace, range, colour);
        assertThat(description.unknown()).isEmpty();
    }

    @Test
    void oneWordCanSayTwoThings() {
        Description grandfather = of("a grandfather");
        assertThat(grandfather.gender()).isEqualTo(Gender.MALE);
        assertThat(grandfather.age()).isEqualTo(Age.OLD);
        assertThat(of("a girl").age()).isEqualTo(Age.YOUNG);
    }

    @Test
    void placesAndWhispersAreTold() {
        Description description = of("She whispers, a Scottish lady with a German accent");
        assertThat(description.places()).containsExactly("scottish", "german");
        assertThat(description.whispers()).isTrue();
        assertThat(description.gender()).isEqualTo(Gender.FEMALE);
        assertThat(description.unknown()).containsExactly("she");
    }

    @Test
    void muchHoldsForTheNextWordOnly() {
        Description description = of("very warm and deep, slow");
        assertThat(description.pitch()).isEqualTo(-1);
        assertThat(description.pace()).isEqualTo(-1);
    }

    @Test
    void anyTextIsADescription() {
        assertThat(of("?!… 123 <script>alert(1)</script> \u0000 🎙").unknown())
                .containsExactly("script", "alert", "script");
        assertThat(of("word ".repeat(10_000)).unknown()).hasSize(10_000);
    }
}
