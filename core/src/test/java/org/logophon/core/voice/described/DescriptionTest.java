package org.logophon.core.voice.described;

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
        "brisk crisp sing-song,0,1,1,1",
        "a bit deep,-0.5,0,0,0",
        "not too deep,0.25,0,0,0",
        "not slow,0,1,0,0",
        "deep and very very deep,-2,0,0,0",
        "rough,-0.5,0,0,-0.5",
        "a little husky and not too fast,-0.25,-0.25,0,-0.5"
    })
    void wordsAreScales(String words, double pitch, double pace, double range, double colour) {
        Description description = of(words);
        assertThat(new double[] {description.pitch(), description.pace(), description.range(), description.colour()})
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
        assertThat(description.unknown()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "an elderly fisherman, MALE, OLD",
        "a queen of 70, FEMALE, OLD",
        "a 30 year old man, MALE, GROWN",
        "somebody in her twenties, FEMALE, YOUNG",
        "a 9-year-old boy, MALE, YOUNG",
        "my grandmother, FEMALE, OLD",
        "a young professor, , YOUNG",
        "a middle-aged nurse, FEMALE, GROWN",
        "not an old man, MALE, "
    })
    void wordsSayWhoItIs(String words, Gender gender, Age age) {
        Description description = of(words);
        assertThat(description.gender()).isEqualTo(gender);
        assertThat(description.age()).isEqualTo(age);
        assertThat(description.unknown()).isEmpty();
    }

    @Test
    void thereAreManyWordsAndEachChangesSomething() {
        assertThat(DescribingWords.ALL).hasSizeGreaterThan(150);
        assertThat(DescribingWords.ALL.keySet())
                .allSatisfy(word -> assertThat(of(word).empty()).as(word).isFalse());
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
