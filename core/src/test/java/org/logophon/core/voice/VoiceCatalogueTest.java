package org.logophon.core.voice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class VoiceCatalogueTest {

    private static final Voice VERA =
            new Voice("vera", "Vera", "en-GB", "English", "Scotland", Gender.FEMALE, "e", "x", Set.of(Ability.WHISPER));

    @Test
    void findsByIdWithoutRegardToCase() {
        VoiceCatalogue catalogue = new FixedVoices(List.of(VERA));
        assertThat(catalogue.find("VERA")).contains(VERA);
        assertThat(catalogue.find(null)).isEmpty();
        assertThat(catalogue.find("nobody")).isEmpty();
    }

    @Test
    void twoVoicesOfOneIdAreAMistake() {
        assertThatThrownBy(() -> new FixedVoices(List.of(VERA, VERA))).hasMessageContaining("vera");
    }

    @Test
    void saysWhatItSpeaksAndCanDo() {
        assertThat(VERA.speaks()).isEqualTo("English, Scotland");
        assertThat(VERA.whispers()).isTrue();
        assertThat(Ability.WORD_TIMES.id()).isEqualTo("word times");
        assertThat(Gender.FEMALE.label()).isEqualTo("woman");
    }

    private static Voice speaking(String id, String language, Gender gender, String engine, Terms terms) {
        return new Voice(
                id,
                id,
                language,
                "Language",
                "",
                gender,
                Age.GROWN,
                List.of(),
                engine,
                id,
                Set.of(),
                Set.of(),
                List.of(),
                terms);
    }

    @Test
    void aVoiceOfAnotherLanguageIsAsLikeAsThereIs() {
        Voice isla = speaking("isla", "en-GB", Gender.FEMALE, "e", Terms.FREE);
        Voice hired =
                speaking("a-hired", "cy", Gender.FEMALE, "e", new Terms(0, new java.math.BigDecimal("0.01"), "EUR"));
        Voice iolo = speaking("iolo", "cy", Gender.MALE, "e", Terms.FREE);
        Voice gwen = speaking("gwen", "cy", Gender.FEMALE, "f", Terms.FREE);
        Voice vienna = speaking("vienna", "de-AT", Gender.MALE, "f", Terms.FREE);
        Voice berlin = speaking("berlin", "de-DE", Gender.FEMALE, "e", Terms.FREE);
        VoiceCatalogue catalogue = new FixedVoices(
                List.of(isla, hired, iolo, gwen, vienna, berlin, gwen.tuned("house", "Ours", "", Tuning.NONE)));
        assertThat(catalogue.inLanguage("cy", isla))
                .as("her gender before her engine, and nothing that costs")
                .contains(gwen);
        assertThat(catalogue.inLanguage("de-AT", isla))
                .as("the region that is asked for")
                .contains(vienna);
        assertThat(catalogue.inLanguage("DE", isla)).contains(berlin);
        assertThat(catalogue.inLanguage("tlh", isla)).isEmpty();
    }
}
