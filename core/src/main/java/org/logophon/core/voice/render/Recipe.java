package org.logophon.core.voice.render;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.direction.style.Style;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;

/**
 * All that determines how a take's speech sounds. Same recipe, same take. Loudness and the pause after a cue are not in
 * it: they are applied when a take is played or delivered, so a change of them is heard at once and renders nothing.
 *
 * @param said          places of the text that readings say otherwise
 * @param engineVersion name and version of the engine
 * @param style         one of the voice's own ways of speaking, which its engine is asked for; empty for its plain way
 * @param score         what is done to single words
 * @param parted        who says which words, where several voices speak; empty for one voice
 * @param phrasingPercent how much of the text's phrasing is heard; 0 for none
 */
public record Recipe(
        String text,
        List<Pronunciation> said,
        Voice voice,
        String engineVersion,
        double paceFactor,
        double semitones,
        Treatment treatment,
        String style,
        Score score,
        List<VoicePart> parted,
        int phrasingPercent) {

    /**
     * Raised whenever the core itself makes another sound of the same request; what is left as the engine gives it has
     * stayed the same.
     */
    private static final int CORE_VERSION = 3;

    private static final int PLAIN_VERSION = 1;
    private static final int SCORE_VERSION = 1;

    public Recipe {
        said = List.copyOf(said);
        parted = List.copyOf(parted);
    }

    /** In the voice's plain way, without marks. */
    public Recipe(
            String text,
            List<Pronunciation> said,
            Voice voice,
            String engineVersion,
            double paceFactor,
            double semitones,
            Treatment treatment) {
        this(text, said, voice, engineVersion, paceFactor, semitones, treatment, "", Score.NONE, List.of(), 0);
    }

    /** The same with marks. */
    public Recipe with(Score other) {
        return with(paceFactor, other, parted, phrasingPercent);
    }

    /** The same at another pace, as far as paces go. */
    public Recipe atPace(double factor) {
        return with(within(factor, 0.4, 2.5), score, parted, phrasingPercent);
    }

    /** The same with other voices for some of its words. */
    public Recipe parted(VoiceParts others) {
        return with(paceFactor, score, others.pieces(), phrasingPercent);
    }

    /** The same with another share of its phrasing. */
    public Recipe phrased(int percent) {
        return with(paceFactor, score, parted, percent);
    }

    private Recipe with(double pace, Score marks, List<VoicePart> pieces, int phrasing) {
        return new Recipe(text, said, voice, engineVersion, pace, semitones, treatment, style, marks, pieces, phrasing);
    }

    /** What each voice says: itself where one voice says all. */
    public List<VoicePart> pieces() {
        return parted.isEmpty() ? List.of(new VoicePart(0, this, 0, true)) : parted;
    }

    /** A text without readings of its own: its written forms are said by rule. */
    public static Recipe of(String text, Voice voice, String engineVersion, ResolvedDirection direction) {
        return of(text, SaidByRule.of(text, voice.language()), voice, engineVersion, direction);
    }

    public static Recipe of(
            String text, List<Pronunciation> said, Voice voice, String engineVersion, ResolvedDirection direction) {
        boolean whispers = voice.whispers();
        // a voice that knows no IPA says such a word as it is written
        List<Pronunciation> can = voice.canDo().contains(Ability.IPA)
                ? said
                : said.stream().filter(place -> !place.ipa()).toList();
        Tuning tuning = voice.tuning();
        // what a script says of an effect holds before what its voice brings along
        boolean itsOwn = voice.styles().contains(direction.style());
        Optional<Style> ours = itsOwn ? Optional.empty() : Style.named(direction.style());
        int strength = direction.stylePercent();
        double range = direction.rangeFactor()
                * ours.map(style -> style.rangeFactor(strength)).orElse(1.0);
        double pace = direction.paceFactor()
                * ours.map(style -> style.paceFactor(strength)).orElse(1.0);
        double semitones = direction.semitones()
                + ours.map(style -> style.semitones(strength)).orElse(0.0);
        Treatment treatment = new Treatment(
                whispers ? 1 : within(range * tuning.rangePercent() / 100, 0, 3),
                tuning.timbreSemitones(),
                direction.effect() == null ? tuning.effect() : direction.effect(),
                direction.effect() == null ? effectPercent(tuning) : direction.effectPercent(),
                ours.isPresent() && ours.get().whispered(strength));
        return new Recipe(
                text,
                can,
                voice,
                engineVersion,
                within(pace * tuning.pacePercent() / 100, 0.4, 2.5),
                whispers ? 0 : within(semitones + tuning.semitones(), -18, 18),
                treatment,
                itsOwn ? direction.style() : "",
                Score.NONE,
                List.of(),
                // a person has phrased it already
                voice.engine().equals(RecordedVoice.ENGINE) ? 0 : direction.phrasingPercent());
    }

    private static int effectPercent(Tuning tuning) {
        return tuning.effect() == null ? 0 : tuning.effectPercent();
    }

    private static double within(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }

    /** What the engine is given: only the readings that the text uses count. */
    public SpokenText spokenText() {
        return SpokenText.of(text, said, voice.language());
    }

    /**
     * The text with its readings in the place of what they stand for, as a person would write it down; IPA is left as
     * written.
     */
    public String saidText() {
        StringBuilder words = new StringBuilder();
        int from = 0;
        for (Pronunciation place : said) {
            words.append(text, from, place.start())
                    .append(place.ipa() ? text.substring(place.start(), place.end()) : place.words());
            from = place.end();
        }
        return words.append(text, from, text.length()).toString();
    }

    /** The pace that is asked of the voice, whose own tuning aside: rests follow that alone. 1 for 100 %. */
    public double directedPace() {
        return paceFactor * 100 / voice.tuning().pacePercent();
    }

    /** True when neither another pace nor another pitch is asked for. */
    boolean atItsOwn() {
        return Math.abs(paceFactor - 1) < 1e-6 && Math.abs(semitones) < 1e-6;
    }

    private boolean plain() {
        return atItsOwn() && treatment.equals(Treatment.NONE);
    }

    private String spoken() {
        return said.isEmpty() ? text : text + '\u0001' + spokenText().text();
    }

    /** SHA-256 over every field, in hex. */
    public String hash() {
        String canonical = String.join(
                        "\u0000",
                        "core " + (plain() ? PLAIN_VERSION : CORE_VERSION),
                        spoken(),
                        voice.baseId(),
                        voice.engineVoice(),
                        engineVersion,
                        Long.toString(Math.round(paceFactor * 10_000)),
                        Long.toString(Math.round(semitones * 1_000)))
                + (treatment.equals(Treatment.NONE) ? "" : "\u0000" + treatment.canonical())
                + (style.isEmpty() ? "" : "\u0000style " + style)
                + (score.empty() ? "" : "\u0000score " + SCORE_VERSION + " " + score.canonical())
                + (phrasingPercent == 0 ? "" : "\u0000phrasing " + Phrasing.VERSION + " " + phrasingPercent)
                + (parted.isEmpty()
                        ? ""
                        : "\u0000pieces "
                                + parted.stream().map(VoicePart::canonical).collect(Collectors.joining(";")));
        return Sha256.hex(canonical);
    }
}
