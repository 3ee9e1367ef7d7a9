package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speaker;
import org.logophon.core.voice.render.Speakers;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.VoiceParts;
import org.logophon.core.voice.render.WordTime;

/** A quotation by another voice, of either engine: measured by Praat (pitch) and FFmpeg (silence). */
class VoicesInACueTest {

    private static final String LINE =
            "In the log he wrote, “the lamp will not be lit again tonight,” and closed the book for good.";
    private static final String QUOTE = "the lamp will not be lit again tonight";
    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final Narrator NARRATOR = new Narrator(SharedSpeech.ENGINES, new WorkerResampler(POOL));

    private static Voice voice(String id) {
        return NativeVoices.catalogue().find(id).orElseThrow();
    }

    private static Speaker speaker(Voice voice) {
        return new Speaker(voice, NARRATOR.engineVersion(voice), ResolvedDirection.NEUTRAL);
    }

    private static final Speakers OTHERS = new Speakers() {
        @Override
        public Optional<Speaker> ofRole(String role) {
            return NativeVoices.catalogue().find(role).map(VoicesInACueTest::speaker);
        }

        @Override
        public Optional<Speaker> inLanguage(String tag, Speaker instead) {
            return NativeVoices.catalogue().inLanguage(tag, instead.voice()).map(VoicesInACueTest::speaker);
        }
    };

    private static Mark quote(Instruction instruction) {
        int at = LINE.indexOf(QUOTE);
        return Mark.own(at, at + QUOTE.length(), instruction);
    }

    private static Speech render(String own, Mark... marks) {
        Speaker speaker = speaker(voice(own));
        return NARRATOR.render(Recipe.of(LINE, speaker.voice(), speaker.engineVersion(), ResolvedDirection.NEUTRAL)
                .with(new Score(List.of(marks), PauseDefaults.NONE, 0, 0))
                .parted(VoiceParts.of(LINE, List.of(marks), speaker, OTHERS, any -> List.of())));
    }

    private static Sound words(Speech speech, String words) {
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

    private static double pitchAlone(String id, String text) {
        return Praat.pitch(NARRATOR.render(
                        Recipe.of(text, voice(id), NARRATOR.engineVersion(voice(id)), ResolvedDirection.NEUTRAL))
                .sound());
    }

    @ParameterizedTest
    @CsvSource({"isla,aldric", "hamish,morwenna", "marnie,hamish", "rufus,isla"})
    void theQuotationIsInItsOwnVoiceAndTheRestStays(String own, String other) {
        Speech speech = render(own, quote(new Instruction.SpokenBy(other)));
        assertThat(Math.abs(
                        PitchTrack.semitones(pitchAlone(other, "“" + QUOTE + ",”"), Praat.pitch(words(speech, QUOTE)))))
                .isLessThan(0.7);
        assertThat(Math.abs(PitchTrack.semitones(
                        pitchAlone(own, "and closed the book for good."),
                        Praat.pitch(words(speech, "and closed the book for good")))))
                .isLessThan(0.7);
        assertThat(LoudnessMeter.of(words(speech, QUOTE)).lufs())
                .as("as loud as what is around it")
                .isCloseTo(
                        LoudnessMeter.of(words(speech, "and closed the book for good"))
                                .lufs(),
                        within(2.0));
    }

    @ParameterizedTest
    @CsvSource({"isla,aldric", "marnie,hamish"})
    void marksOnTheOtherVoiceKeepTheirPromise(String own, String other) {
        Speech plain = render(own, quote(new Instruction.SpokenBy(other)));
        int before = LINE.indexOf("wrote");
        Speech marked = render(
                own,
                quote(new Instruction.SpokenBy(other)),
                quote(new Instruction.Pitch(-3)),
                quote(new Instruction.Pace(90)),
                Mark.own(before, before + 5, new Instruction.Pause(700)));
        assertThat(PitchTrack.semitones(Praat.pitch(words(plain, QUOTE)), Praat.pitch(words(marked, QUOTE))))
                .isCloseTo(-3, within(0.7));
        assertThat(words(plain, QUOTE).seconds() / words(marked, QUOTE).seconds())
                .isCloseTo(0.9, within(0.03));
        double start = marked.words().stream()
                        .filter(word -> word.start() == LINE.indexOf(QUOTE))
                        .findFirst()
                        .orElseThrow()
                        .startSample()
                / (double) marked.sound().rate();
        Silences.Silence rest = Silences.of(marked.sound()).stream()
                .filter(silence -> Math.abs(silence.to() - start) < 0.05)
                .findFirst()
                .orElseThrow();
        assertThat(rest.seconds()).isCloseTo(0.7, within(0.02));
    }

    @Test
    void anotherLanguageIsSpokenByAVoiceThatKnowsIt() {
        Speaker isla = speaker(voice("isla"));
        VoiceParts pieces =
                VoiceParts.of(LINE, List.of(quote(new Instruction.Language("cy"))), isla, OTHERS, any -> List.of());
        assertThat(pieces.pieces())
                .extracting(piece -> piece.recipe().voice().language())
                .containsExactly(isla.voice().language(), "cy", isla.voice().language());
        assertThat(pieces.pieces().get(1).recipe().voice().gender())
                .as("as like the cue's own voice as there is")
                .isEqualTo(isla.voice().gender());
        assertThat(render("isla", quote(new Instruction.Language("cy"))).words())
                .hasSize(render("isla").words().size());
    }
}
