package org.logophon.app.steps.cast;

import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.VoiceFigures;

/**
 * A voice in the catalogue.
 *
 * @param figures   null until it is measured
 * @param soundless true when it made no sound of the passage
 * @param clearness null for a voice that no recogniser has heard
 * @param character words for what it measures, and its maker's own
 * @param base      name of the voice that a house voice is made of; null for any other
 * @param used      roles that it speaks, as "Narrator of First Firing"
 */
record VoiceRow(
        Voice voice,
        VoiceFigures figures,
        boolean soundless,
        Clearness clearness,
        List<String> character,
        VoiceNote note,
        List<String> used,
        String base) {

    /** True when measuring it has a price, and nobody has agreed to it yet. */
    public boolean unmeasured() {
        return figures == null && !soundless && !voice.terms().free();
    }

    /** True when it was tried, and made no sound of the passage: there is nothing to show, and nothing on its way. */
    public boolean silent() {
        return figures == null && soundless;
    }

    /** How clear it is, or how it is made where that isn't known. */
    public String clear() {
        return clearness == null ? voice.making().id() : clearness.percent() + " %";
    }

    /** Where its clearness lies, as a word: of the filter, and of the dots on the map. */
    public ClearBand band() {
        return ClearBand.of(clearness);
    }

    /** The roles that it speaks, in one line. */
    public String usedBy() {
        return used.isEmpty() ? "" : used.get(0) + (used.size() == 1 ? "" : " and " + (used.size() - 1) + " more");
    }

    /** The note as a quotation; one that is written as a quotation stays as it is. */
    public String quoted() {
        return note.note().startsWith("“") || note.note().startsWith("\"") ? note.note() : "“" + note.note() + "”";
    }

    public String pitch() {
        return figures == null
                ? "…"
                : figures.medianPitchHz() == null ? "–" : Math.round(figures.medianPitchHz()) + " Hz";
    }

    public String pace() {
        return figures == null
                ? "…"
                : figures.wordsPerMinute() == null ? "–" : Math.round(figures.wordsPerMinute()) + " wpm";
    }

    public String range() {
        return figures == null
                ? "…"
                : figures.pitchRangeSemitones() == null
                        ? "–"
                        : String.format(Locale.ROOT, "%.1f st", figures.pitchRangeSemitones());
    }

    /** Who it is, for people and screen readers: "woman, England, bright". */
    public String about() {
        String words = character.isEmpty() ? "" : ", " + String.join(", ", character);
        return (voice.age() == org.logophon.core.voice.Age.GROWN
                        ? ""
                        : voice.age().id() + " ")
                + voice.gender().label()
                + (voice.whispers() ? ", whispering" : "")
                + words;
    }

    public String canDo() {
        return voice.canDo().stream()
                .sorted()
                .filter(ability -> ability != Ability.WORD_TIMES)
                .map(Ability::id)
                .collect(Collectors.joining(" "));
    }

    /** What the cost is for, and how much is spoken at once; empty for a voice that costs nothing. */
    public String terms() {
        return voice.terms().free()
                ? ""
                : "per 1,000 characters"
                        + (voice.terms().limited()
                                ? ", %,d at once".formatted(voice.terms().mostCharacters())
                                : "");
    }

    /** Pace, pitch, range, timbre, effect and mix of a house voice, with spaces between. */
    public String tuned() {
        Tuning tuning = voice.tuning();
        return "%d %s %d %s %s %d"
                .formatted(
                        tuning.pacePercent(),
                        tuning.semitones(),
                        tuning.rangePercent(),
                        tuning.timbreSemitones(),
                        tuning.effect() == null ? "-" : tuning.effect().id().replace(' ', '_'),
                        tuning.effectPercent());
    }

    public String cost() {
        return voice.terms().free()
                ? "free"
                : voice.terms()
                                .pricePerCharacter()
                                .movePointRight(3)
                                .setScale(2, RoundingMode.HALF_UP)
                                .toPlainString() + " " + voice.terms().currency();
    }
}
