package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.phrasing.PhrasedTime;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.estimate.SpeakingRate;
import org.logophon.core.text.estimate.TextTime;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;

/** What the core says of the engine, held against the engine: its times, its way with IPA. */
class EngineAgreementTest {

    private static Narrator narrator;

    @BeforeAll
    static void start() {
        narrator = new Narrator(SharedSpeech.ENGINES, new WorkerResampler(SharedSpeech.POOL));
    }

    private static Voice voice(String id) {
        return NativeVoices.catalogue().find(id).orElseThrow();
    }

    private static double seconds(String text, List<org.logophon.core.text.reading.Pronunciation> said, Voice voice) {
        return narrator.render(Recipe.of(text, said, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL))
                .trimmed()
                .sound()
                .seconds();
    }

    /**
     * domain.md's tolerances for a measured voice: ±8 % a cue of five words or more, ±3 % over a project. Every English
     * voice
     * speaks twelve cues of a made-up text that the reference times were not fitted to; its factor is learnt from six
     * of them.
     */
    @Test
    void estimatesHoldForEveryEnglishVoice() throws IOException {
        List<String> cues = cues();
        int count = 0;
        int within = 0;
        double worstProject = 0;
        // a voice that is made of another is estimated by it
        List<Voice> own = NativeVoices.catalogue().all().stream()
                .filter(voice -> voice.language().startsWith("en")
                        && !voice.whispers()
                        && voice.tuning().equals(Tuning.NONE))
                .toList();
        for (Voice voice : SharedSpeech.each(5, own)) {
            double[] taken = new double[cues.size()];
            double[] reference = new double[cues.size()];
            double learntTaken = 0;
            double learntReference = 0;
            for (int i = 0; i < cues.size(); i++) {
                taken[i] = seconds(cues.get(i), List.of(), voice);
                reference[i] = ReferenceTime.seconds(cues.get(i), voice.language());
                learntTaken += i % 2 == 0 ? taken[i] : 0;
                learntReference += i % 2 == 0 ? reference[i] : 0;
            }
            double factor = learntTaken / learntReference;
            double all = 0;
            double allTaken = 0;
            for (int i = 0; i < cues.size(); i++) {
                count++;
                within += Math.abs(reference[i] * factor - taken[i]) <= 0.08 * taken[i] ? 1 : 0;
                all += reference[i] * factor;
                allTaken += taken[i];
            }
            worstProject = Math.max(worstProject, Math.abs(all - allTaken) / allTaken);
        }
        assertThat(count).isGreaterThan(200);
        System.out.printf(
                "Estimates: %d of %d cues within 8 %%, the worst project off by %.1f %%%n",
                within, count, 100 * worstProject);
        assertThat(within / (double) count).isGreaterThan(0.97);
        assertThat(worstProject).isLessThan(0.03);
    }

    /** The same for what is phrased: its rests are known, and its words follow a rate of their own. */
    @Test
    void estimatesHoldForPhrasedSpeech() throws IOException {
        List<String> cues = cues();
        int within = 0;
        int count = 0;
        for (String id : List.of("rufus", "marnie", "verity", "isla")) {
            Voice voice = voice(id);
            double[] taken = new double[cues.size()];
            TextTime[] times = new TextTime[cues.size()];
            double learntTaken = 0;
            double learntWords = 0;
            for (int i = 0; i < cues.size(); i++) {
                times[i] = PhrasedTime.of(
                        cues.get(i), voice.language(), ReferenceTime.seconds(cues.get(i), voice.language()));
                taken[i] = phrasedSeconds(cues.get(i), voice);
                learntTaken += i % 2 == 0 ? taken[i] - times[i].rests() : 0;
                learntWords += i % 2 == 0 ? times[i].words() : 0;
            }
            SpeakingRate rate = SpeakingRate.ofPhrased(learntTaken / learntWords);
            double all = 0;
            double allTaken = 0;
            for (int i = 0; i < cues.size(); i++) {
                double estimated = Estimate.seconds(cues.get(i).length(), times[i], 100, rate, 1, 1);
                count++;
                within += Math.abs(estimated - taken[i]) <= 0.08 * taken[i] ? 1 : 0;
                all += estimated;
                allTaken += taken[i];
            }
            assertThat(Math.abs(all - allTaken) / allTaken).as(id).isLessThan(0.03);
        }
        System.out.printf("Estimates of phrased speech: %d of %d cues within 8 %%%n", within, count);
        assertThat(within / (double) count).isGreaterThan(0.9);
    }

    private static double phrasedSeconds(String text, Voice voice) {
        Recipe recipe = Recipe.of(text, List.of(), voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
        return narrator.render(recipe.phrased(100)).trimmed().sound().seconds();
    }

    private static List<String> cues() throws IOException {
        try (InputStream in = EngineAgreementTest.class.getResourceAsStream("estimate-cues.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank())
                    .toList();
        }
    }

    @Test
    void ipaIsSpoken() {
        Voice voice = voice("isla");
        String text = "Here is Skerrow Head.";
        List<org.logophon.core.text.reading.Pronunciation> ipa = new ReadingList(
                        List.of(List.of(new Reading("Skerrow", "ˈskɛɹəʊ", PronunciationKind.IPA, null, false))))
                .said(text, "en-GB");
        List<org.logophon.core.text.reading.Pronunciation> words =
                new ReadingList(List.of(List.of(Reading.words("Skerrow", "sparrow")))).said(text, "en-GB");
        double asIpa = seconds(text, ipa, voice);
        assertThat(asIpa).isCloseTo(seconds(text, words, voice), org.assertj.core.api.Assertions.within(0.15));
        Speech speech =
                narrator.render(Recipe.of(text, ipa, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL));
        assertThat(speech.words()).hasSize(4);
        assertThat(speech.words().get(3).startSample())
                .isGreaterThan(speech.words().get(2).startSample());
    }

    @Test
    void aSignThatIsNoSoundIsASentence() {
        List<org.logophon.core.text.reading.Pronunciation> odd = new ReadingList(
                        List.of(List.of(new Reading("Skerrow", "sk☃", PronunciationKind.IPA, null, false))))
                .said("Skerrow.", "en-GB");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> seconds("Skerrow.", odd, voice("isla")))
                .hasMessageContaining("has a sign that this voice can't say");
    }
}
