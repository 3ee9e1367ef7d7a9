package org.logophon.core.review.translation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.review.translation.TranslationFinding.Kind;

/** Figures as CLDR writes them in each language. */
class TranslationCheckTest {

    private static List<String> german(String first, String translated, GlossaryTerm... glossary) {
        return TranslationCheck.of(first, "en-GB", translated, "de-DE", List.of(glossary)).stream()
                .map(TranslationFinding::sentence)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "It weighs 2.3 tonnes. | Sie wiegt 2,3 Tonnen.",
                "It has 1,200 prisms. | Sie hat 1.200 Prismen.",
                "You can true it in 50 seconds. | In fünfzig Sekunden läuft es rund.",
                "Three boats, 2 crews. | Drei Boote, zwei Mannschaften.",
                "On 4 March 1911. | Am 4. März 1911.",
                "Lit for fifty years. | Seit 50 Jahren brennt sie.",
                "A quarter turn, no more. | Eine Vierteldrehung, nicht mehr.",
                "At 10:30, and at 22:05. | Um 10:30 Uhr und um 22:05 Uhr."
            })
    void whatSaysTheSameIsFoundGood(String first, String translated) {
        assertThat(german(first, translated)).isEmpty();
    }

    @Test
    void aFigureThatChangedIsAFinding() {
        assertThat(german("It weighs 2.3 tonnes.", "Sie wiegt 3,2 Tonnen."))
                .containsExactly("“2.3” isn't in the translation; “3,2” is.");
        assertThat(german("In 50 seconds.", "In wenigen Sekunden.")).containsExactly("“50” isn't in the translation.");
        assertThat(german("In some seconds.", "In 20 Sekunden.")).containsExactly("“20” isn't in the original.");
        assertThat(german("2 and 2.", "2 und 3.")).containsExactly("“2” isn't in the translation; “3” is.");
    }

    @Test
    void aPointIsReadAsItsLanguageReadsIt() {
        assertThat(german("1.200 kg", "1.200 kg"))
                .as("over a kilo here, over a ton there")
                .hasSize(1);
        assertThat(TranslationCheck.of("12 300 km", "fr-FR", "12,300 km", "en-GB", List.of()))
                .isEmpty();
    }

    @Test
    void placeholdersNamesAndTermsAreLookedFor() {
        assertThat(german("Hello {name}, %1$s lamps.", "Hallo {Name}, %1$s Lampen."))
                .containsExactly("The placeholder “{name}” isn't in the translation.");
        assertThat(german("The lamp of Skerrow Head burns.", "Die Lampe von Skerrow Head brennt."))
                .isEmpty();
        assertThat(german("We met Ffion Aldous on Monday.", "Wir trafen die Wärterin am Montag."))
                .containsExactly("The name “Ffion Aldous” isn't in the translation, or is written otherwise.");
        GlossaryTerm spoke = new GlossaryTerm("spoke", "Speiche", "de");
        GlossaryTerm stays = new GlossaryTerm("Wheel True", "Wheel True", "");
        assertThat(german("Tighten a spoke.", "Zieh eine Speiche an.", spoke)).isEmpty();
        assertThat(german("Tighten a spoke.", "Zieh einen Draht an.", spoke))
                .containsExactly("“spoke” is always “Speiche”, which isn't in the translation.");
        assertThat(german("This is Wheel True.", "Das ist Rad rund.", stays))
                .containsExactly("“Wheel True” stays as it is, and isn't in the translation.");
        assertThat(german("He spoked it.", "Er tat es.", spoke))
                .as("another word")
                .isEmpty();
        assertThat(TranslationCheck.of("Tighten a spoke.", "en", "Serrez un rayon.", "fr", List.of(spoke)))
                .isEmpty();
    }

    @Test
    void eachFindingHasAKind() {
        assertThat(TranslationCheck.of("In 50 s, {x}.", "en", "Jetzt.", "de", List.of()))
                .extracting(TranslationFinding::kind)
                .containsExactly(Kind.FIGURE, Kind.PLACEHOLDER);
    }
}
