package org.logophon.core.review.proof;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Place names and surnames; from memory. */
class WordOriginTest {

    @ParameterizedTest
    @CsvSource({
        "Königsberg,de",
        "Schwarzwald,de",
        "Rothenfeld,de",
        "Grünstraße,de",
        "Zwickau,de",
        "Hoffmann,de",
        "Fontainebleau,fr",
        "Châlons,fr",
        "Bordeaux,fr",
        "Perrault,fr",
        "Villeneuve-les-Bordes-près,fr",
        "Duquesnette,fr",
        "Núñez,es",
        "Fernandez,es",
        "Castillo,es",
        "Logroño,es",
        "Palazzo,it",
        "Vecchio,it",
        "Donatelli,it",
        "Intaglio,it"
    })
    void lettersAndEndingsTellWhereAWordIsFrom(String word, String tag) {
        assertThat(WordOrigin.of(word).map(WordOrigin::tag)).as(word).contains(tag);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Skerrow", "Tamsin", "Penrith", "Wotsit", "Blorkling", "Zqrt", "Aldric", "Kettlethorpe"})
    void whatTellsNothingIsLeftInPeace(String word) {
        assertThat(WordOrigin.of(word)).as(word).isEmpty();
    }
}
