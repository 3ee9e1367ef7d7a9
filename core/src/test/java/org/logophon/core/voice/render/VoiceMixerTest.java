package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;

/** Several voices in one cue. */
class VoiceMixerTest {

    private static final String LINE = "He wrote: “The lamp is out,” and closed the book.";
    private static final Voice LOW = voice("low", "en-GB");
    private static final Voice HIGH = voice("high", "en-GB");
    private static final Voice WELSH = voice("welsh", "cy");

    private static Voice voice(String id, String language) {
        return new Voice(
                id, id, language, "English", "", Gender.FEMALE, "test", id, EnumSet.of(Ability.PACE, Ability.PITCH));
    }

    /** Hums each word for 0.2 s: low at 200 Hz, the others at 320 Hz, at another rate and 12 dB under it. */
    private static final class Humming implements SpeechEngine {

        private final List<String> asked = new ArrayList<>();

        @Override
        public String version(Voice voice) {
            return "humming 1";
        }

        @Override
        public Utterance speak(SpeechRequest request) {
            asked.add(request.voice().id() + ": " + request.text().text());
            boolean low = request.voice().equals(LOW);
            int rate = low ? 24_000 : 12_000;
            List<Word> words = Words.of(request.text().text());
            Sound hum = Tones.sine(low ? 200 : 320, low ? -18 : -30, 0.2 * words.size(), rate);
            List<Utterance.WordStart> starts = new ArrayList<>();
            for (int i = 0; i < words.size(); i++) {
                starts.add(new Utterance.WordStart(words.get(i).start(), (int) ((0.1 + 0.2 * i) * rate)));
            }
            return new Utterance(
                    Tones.joined(Tones.of(i -> 0, 0.1, rate), hum, Tones.of(i -> 0, 0.1, rate)),
                    starts,
                    List.of(new Utterance.PhonemeStart((int) ((0.1 + 0.2 * words.size()) * rate), true)));
        }
    }

    private static Sound twice(Sound sound, int rate) {
        assertThat(rate).isEqualTo(2 * sound.rate());
        float[] in = sound.samples();
        return Tones.of(
                i -> i % 2 == 0 || i / 2 + 1 >= in.length ? in[i / 2] : (in[i / 2] + in[i / 2 + 1]) / 2,
                in.length / (double) sound.rate(),
                rate);
    }

    private static Speakers others(Direction keeper) {
        return new Speakers() {
            @Override
            public Optional<Speaker> ofRole(String role) {
                return role.equals("Keeper")
                        ? Optional.of(new Speaker(HIGH, "humming 1", ResolvedDirection.of(keeper)))
                        : Optional.empty();
            }

            @Override
            public Optional<Speaker> inLanguage(String tag, Speaker instead) {
                return tag.equals("cy")
                        ? Optional.of(new Speaker(WELSH, "humming 1", instead.direction()))
                        : Optional.empty();
            }
        };
    }

    private static VoiceParts pieces(String text, Direction keeper, Mark... marks) {
        return VoiceParts.of(
                text,
                List.of(marks),
                new Speaker(LOW, "humming 1", ResolvedDirection.NEUTRAL),
                others(keeper),
                voice -> List.of());
    }

    private static Mark on(String words, Instruction instruction) {
        int at = LINE.indexOf(words);
        return Mark.own(at, at + words.length(), instruction);
    }

    private static final Mark QUOTE = on("The lamp is out", new Instruction.SpokenBy("Keeper"));

    private static Recipe recipe(VoiceParts pieces) {
        return Recipe.of(LINE, LOW, "humming 1", ResolvedDirection.NEUTRAL).parted(pieces);
    }

    private static Speech render(Direction keeper) {
        return new Narrator(new Humming(), VoiceMixerTest::twice).render(recipe(pieces(LINE, keeper, QUOTE)));
    }

    private static Sound of(Speech speech, String words) {
        int at = LINE.indexOf(words);
        WordTime first = speech.words().stream()
                .filter(word -> word.start() >= at)
                .findFirst()
                .orElseThrow();
        WordTime last = speech.words().stream()
                .filter(word -> word.end() <= at + words.length())
                .reduce((a, b) -> b)
                .orElseThrow();
        return speech.sound().cut(first.startSample(), last.endSample());
    }

    @Test
    void eachVoiceGetsItsOwnWordsWithTheirSigns() {
        Humming engine = new Humming();
        new Narrator(engine, VoiceMixerTest::twice).render(recipe(pieces(LINE, Direction.NONE, QUOTE)));
        assertThat(engine.asked)
                .containsExactly("low: He wrote:", "high: “The lamp is out,”", "low: and closed the book.");
        engine.asked.clear();
        new Narrator(engine, VoiceMixerTest::twice)
                .render(recipe(pieces(LINE, Direction.NONE, on("lamp", new Instruction.Language("cy")))));
        assertThat(engine.asked)
                .as("a voice that goes on keeps its tone up")
                .containsExactly("low: He wrote: “The,", "welsh: lamp,", "low: is out,” and closed the book.");
    }

    @Test
    void wordsStandWhereTheirVoiceSounds() {
        Speech speech = render(Direction.NONE);
        assertThat(speech.words())
                .extracting(word -> LINE.substring(word.start(), word.end()))
                .containsExactlyElementsOf(Words.of(LINE).stream()
                        .map(word -> LINE.substring(word.start(), word.end()))
                        .toList());
        assertThat(PitchMeter.track(of(speech, "He wrote")).medianHz()).isCloseTo(200, within(2.0));
        assertThat(PitchMeter.track(of(speech, "The lamp is out")).medianHz()).isCloseTo(320, within(3.2));
        assertThat(PitchMeter.track(of(speech, "and closed the book")).medianHz())
                .isCloseTo(200, within(2.0));
        assertThat(speech.sound().rate()).as("nothing is lost of the finer one").isEqualTo(24_000);
        assertThat(speech.measurement()).isEqualTo(Measurement.NEUTRAL);
    }

    @Test
    void theOtherVoiceIsAsLoudAsItsRoleAsks() {
        Speech even = render(Direction.NONE);
        double low = LoudnessMeter.of(of(even, "and closed the book")).lufs();
        assertThat(LoudnessMeter.of(of(even, "The lamp is out")).lufs())
                .as("its engine is 12 dB quieter")
                .isCloseTo(low, within(0.3));
        Speech softer = render(new Direction(null, null, -3.0, null));
        assertThat(LoudnessMeter.of(of(softer, "The lamp is out")).lufs()).isCloseTo(low - 3, within(0.3));
        assertThat(LoudnessMeter.of(of(softer, "and closed the book")).lufs()).isCloseTo(low, within(0.05));
    }

    @Test
    void aShortRestStandsWhereVoicesChange() {
        Speech speech = render(Direction.NONE);
        List<WordTime> words = speech.words();
        int rate = speech.sound().rate();
        assertThat((words.get(2).startSample() - words.get(1).endSample()) / (double) rate)
                .as("after the colon")
                .isBetween(0.12, 0.2);
        assertThat((words.get(6).startSample() - words.get(5).endSample()) / (double) rate)
                .as("after the comma")
                .isBetween(0.12, 0.2);
        float[] rest = Arrays.copyOfRange(
                speech.sound().samples(),
                words.get(1).endSample() + rate / 50,
                words.get(2).startSample() - rate / 50);
        assertThat(rest).containsOnly(0f);
    }

    @Test
    void anEffectOfARoleIsHeardOnItsWordsAlone() {
        Speech plain = render(Direction.NONE);
        Speech hall = render(new Direction(null, null, null, null, null, Effect.HALL, 100));
        int quote = plain.words().get(2).startSample() - 2_000;
        assertThat(Arrays.equals(plain.sound().samples(), 0, quote, hall.sound().samples(), 0, quote))
                .as("before the quotation nothing changes")
                .isTrue();
        int ringing = plain.words().get(5).endSample() + 1_500;
        assertThat(LoudnessMeter.of(hall.sound().cut(ringing, ringing + 1_000)).silent())
                .as("the hall rings on into the rest")
                .isFalse();
        assertThat(hall.sound().samples().length)
                .as("and after the end")
                .isGreaterThan(plain.sound().samples().length);
    }

    @Test
    void whoIsMissingIsSaidAndTheWordsStay() {
        VoiceParts nobody = pieces(
                LINE,
                Direction.NONE,
                on("lamp", new Instruction.SpokenBy("Visitor")),
                on("book", new Instruction.Language("ja")));
        assertThat(nobody.pieces()).isEmpty();
        assertThat(nobody.missing())
                .containsExactly(
                        "Visitor, who says words of this cue, has no voice yet. Cast one, or take the mark off.",
                        "No voice speaks the language “ja”, which words of this cue are in. Choose "
                                + "another, or take the mark off.");
        assertThat(pieces(LINE, Direction.NONE, on("lamp", new Instruction.Language("en-US")))
                        .pieces())
                .as("an English voice goes on by itself")
                .isEmpty();
        VoiceParts inside = pieces(LINE, Direction.NONE, QUOTE, on("lamp", new Instruction.Language("cy")));
        assertThat(inside.pieces())
                .extracting(piece -> piece.recipe().voice().id())
                .containsExactly("low", "high", "welsh", "high", "low");
    }

    @Test
    void anotherVoiceIsAnotherRecipeAndNoOtherIsTheSame() {
        Recipe alone = Recipe.of(LINE, LOW, "humming 1", ResolvedDirection.NEUTRAL);
        assertThat(recipe(pieces(LINE, Direction.NONE)).hash()).isEqualTo(alone.hash());
        assertThat(recipe(pieces(LINE, Direction.NONE, QUOTE)).hash())
                .isNotEqualTo(alone.hash())
                .isNotEqualTo(recipe(pieces(LINE, new Direction(90, null, null, null), QUOTE))
                        .hash());
    }

    @Property(tries = 300, seed = "1")
    void noWordIsLostOrSaidTwice(@ForAll Random random) {
        List<Word> words = Words.of(LINE);
        Mark[] marks = random.ints(1 + random.nextInt(4), 0, words.size())
                .mapToObj(at -> {
                    int to = Math.min(words.size() - 1, at + random.nextInt(4));
                    return Mark.own(
                            words.get(at).start(),
                            words.get(to).end(),
                            random.nextBoolean() ? new Instruction.SpokenBy("Keeper") : new Instruction.Language("cy"));
                })
                .toArray(Mark[]::new);
        List<VoicePart> pieces = pieces(LINE, Direction.NONE, marks).pieces();
        List<String> said = pieces.stream()
                .flatMap(piece -> Words.of(piece.recipe().text()).stream().map(word -> {
                    String written = piece.recipe().text().substring(word.start(), word.end());
                    assertThat(LINE.startsWith(written, piece.from() + word.start()))
                            .as(written + " stands in its place")
                            .isTrue();
                    return written;
                }))
                .toList();
        assertThat(said)
                .containsExactlyElementsOf(words.stream()
                        .map(word -> LINE.substring(word.start(), word.end()))
                        .toList());
    }
}
