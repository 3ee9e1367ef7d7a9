package org.logophon.core.voice.figures;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The passages that voices read to be measured.
 *
 * <ul>
 * <li>English: the first of the Harvard sentences, phonetically balanced lists ("IEEE Recommended Practice for Speech
 * Quality
 * Measurements", IEEE Trans. Audio and Electroacoustics 17, 1969), as remembered.
 * <li>German, French, Spanish: the opening of "The North Wind and the Sun" in the versions of the Handbook of the
 * International
 * Phonetic Association (1999), as remembered.
 * <li>Any other language: the numbers from 1 to 30 in its words by CLDR; where CLDR has none, in figures. Not
 * phonetically balanced, but
 * open data, and the same for all voices of the language.
 * </ul>
 *
 * @param words true when its words can be counted
 */
public record MeasuringPassage(String text, String language, boolean words) {

    private static final String HARVARD = """
            The birch canoe slid on the smooth planks. Glue the sheet to the dark blue background. It's easy to tell the depth of a well. \
            These days a chicken leg is a rare dish. Rice is often served in round bowls. The juice of lemons makes fine punch. \
            The box was thrown beside the parked truck. The hogs were fed chopped corn and garbage. Four hours of steady work faced us. \
            A large size in stockings is hard to sell.""";
    private static final Map<String, String> NORTH_WIND = Map.of(
            "de", """
            Einst stritten sich Nordwind und Sonne, wer von ihnen beiden wohl der Stärkere wäre, als ein Wanderer, der in einen warmen \
            Mantel gehüllt war, des Weges daherkam. Sie wurden einig, dass derjenige für den Stärkeren gelten sollte, der den Wanderer \
            zwingen würde, seinen Mantel abzunehmen.""",
            "fr", """
            La bise et le soleil se disputaient, chacun assurant qu'il était le plus fort, quand ils ont vu un voyageur qui s'avançait, \
            enveloppé dans son manteau. Ils sont tombés d'accord que celui qui arriverait le premier à faire ôter son manteau au voyageur \
            serait regardé comme le plus fort.""",
            "es", """
            El viento norte y el sol porfiaban sobre cuál de ellos era el más fuerte, cuando acertó a pasar un viajero envuelto en ancha \
            capa. Convinieron en que quien antes lograra obligar al viajero a quitarse la capa sería considerado más poderoso.""");
    private static final int LAST_NUMBER = 30;

    /** @param language BCP 47 tag */
    public static MeasuringPassage in(String language) {
        String base = ULocale.forLanguageTag(language).getLanguage();
        if (base.equals("en")) {
            return new MeasuringPassage(HARVARD, language, true);
        }
        return NORTH_WIND.containsKey(base)
                ? new MeasuringPassage(NORTH_WIND.get(base), language, true)
                : numbers(language);
    }

    private static MeasuringPassage numbers(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        RuleBasedNumberFormat words = new RuleBasedNumberFormat(locale, RuleBasedNumberFormat.SPELLOUT);
        boolean known = words.getLocale(ULocale.ACTUAL_LOCALE) != null
                && words.getLocale(ULocale.ACTUAL_LOCALE).getLanguage().equals(locale.getLanguage());
        String text = IntStream.rangeClosed(1, LAST_NUMBER)
                .mapToObj(n -> known ? words.format(n).replace("\u00ad", "") : Integer.toString(n))
                .collect(Collectors.joining(" "));
        // CLDR writes Cherokee in its small letters, which are younger than the engines' tables
        return new MeasuringPassage(
                locale.getLanguage().equals("chr") ? UCharacter.toUpperCase(locale, text) : text, language, known);
    }
}
