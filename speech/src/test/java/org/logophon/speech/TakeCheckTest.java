package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.check.TakeCheck;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.check.TakeFinding.Kind;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.WordTime;
import org.logophon.core.voice.take.TakeOrigin;

/** Takes as they are pass; the same takes, spoiled on purpose, don't. */
class TakeCheckTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final SpeechEngine ENGINES = SharedSpeech.ENGINES;
    private static final String TEXT =
            "Fog till noon. The boy asked whether the light would burn until dawn, and I told him it always had.";
    private static final Map<String, Utterance> ANEW = new HashMap<>();
    private static final int PACE = 92;
    /** Letters: the sound of a word reaches into those beside it, and either may be named. */
    private static final int NEAR = 8;

    private static final List<String> TEXTS = List.of(
            TEXT,
            "At the top of Skerrow Head stands a lantern room that nobody has lit for thirty years.",
            "Each prism is cleaned by hand, with grey salt and a soft brush, for eleven weeks.");
    private static final List<String> VOICES = List.of("nessa", "gawen", "ida", "percy", "verity");

    private static Voice voice(String id) {
        return NativeVoices.catalogue().find(id).orElseThrow();
    }

    private static Speech rendered(String text, Voice voice) {
        ResolvedDirection direction = ResolvedDirection.of(new Direction(PACE, -0.5, null, null));
        return new Narrator(ENGINES, new WorkerResampler(POOL))
                .render(Recipe.of(text, voice, ENGINES.version(voice), direction))
                .trimmed()
                .withinFullScale();
    }

    private static List<TakeFinding> checked(Sound sound, String text, Voice voice) {
        SpokenText spoken = SpokenText.of(text);
        Utterance anew = ANEW.computeIfAbsent(
                voice.id() + text, key -> ENGINES.speak(new SpeechRequest(voice, spoken, PACE / 100.0, 0)));
        return TakeCheck.of(sound, TakeOrigin.spoken(text, "Narrator", null), spoken, anew);
    }

    private static Sound without(Sound sound, int from, int to) {
        float[] samples = sound.samples();
        float[] left = new float[samples.length - (to - from)];
        System.arraycopy(samples, 0, left, 0, from);
        System.arraycopy(samples, to, left, from, samples.length - to);
        return new Sound(left, sound.rate());
    }

    private static Sound twice(Sound sound, int from, int to) {
        float[] samples = sound.samples();
        float[] more = new float[samples.length + (to - from)];
        System.arraycopy(samples, 0, more, 0, to);
        System.arraycopy(samples, from, more, to, samples.length - from);
        return new Sound(more, sound.rate());
    }

    @Test
    void takesAsTheyArePass() {
        for (int i = 0; i < TEXTS.size() * VOICES.size(); i++) {
            if (SharedSpeech.tried(i)) {
                String text = TEXTS.get(i / VOICES.size());
                String id = VOICES.get(i % VOICES.size());
                assertThat(checked(rendered(text, voice(id)).sound(), text, voice(id)))
                        .as(id + ": " + text)
                        .isEmpty();
            }
        }
    }

    @Test
    void aWordThatIsCutOutOrDoubledIsFoundAtItsPlace() {
        int words = 0;
        int missing = 0;
        int doubled = 0;
        for (String text : TEXTS) {
            for (String id : List.of("gawen")) {
                Speech speech = rendered(text, voice(id));
                for (WordTime word : SharedSpeech.each(2, speech.words())) {
                    int samples = word.endSample() - word.startSample();
                    if (samples < speech.sound().rate() / 5
                            || word.endSample() >= speech.sound().samples().length) {
                        continue;
                    }
                    words++;
                    missing += found(
                            without(speech.sound(), word.startSample(), word.endSample()),
                            text,
                            id,
                            Kind.MISSING,
                            word);
                    doubled += found(
                            twice(speech.sound(), word.startSample(), word.endSample()), text, id, Kind.TWICE, word);
                }
            }
        }
        System.out.printf("%d words: %d found missing, %d found doubled%n", words, missing, doubled);
        assertThat(words).isGreaterThan(17);
        assertThat(missing).isGreaterThanOrEqualTo(words * 9 / 10);
        assertThat(doubled).isGreaterThanOrEqualTo(words * 9 / 10);
    }

    private static int found(Sound spoiled, String text, String id, Kind kind, WordTime word) {
        return checked(spoiled, text, voice(id)).stream()
                        .anyMatch(finding -> finding.kind() == kind
                                && finding.start() <= word.end() + NEAR
                                && finding.end() >= word.start() - NEAR)
                ? 1
                : 0;
    }

    @Test
    void aClickADroppedLevelAnEndThatIsCutOffAndASilenceAreFound() {
        Speech speech = rendered(TEXT, voice("nessa"));
        Sound sound = speech.sound();
        float[] clicked = sound.samples().clone();
        int middle = clicked.length / 2;
        clicked[middle] += clicked[middle] > 0 ? -0.35f : 0.35f;
        only(Kind.CLICK, new Sound(clicked, sound.rate()));
        float[] dropped = sound.samples().clone();
        for (int i = dropped.length * 2 / 5; i < dropped.length * 4 / 5; i++) {
            dropped[i] *= (float) Decibels.toFactor(-14);
        }
        assertThat(kinds(new Sound(dropped, sound.rate()))).contains(Kind.LEVEL);
        WordTime last = speech.words().get(speech.words().size() - 3);
        assertThat(kinds(sound.cut(0, (last.startSample() + last.endSample()) / 2)))
                .contains(Kind.CUT);
        WordTime noon = speech.words().get(2);
        float[] quiet = new float[sound.rate() * 2];
        float[] longer = new float[sound.samples().length + quiet.length];
        System.arraycopy(sound.samples(), 0, longer, 0, noon.endSample());
        System.arraycopy(
                sound.samples(),
                noon.endSample(),
                longer,
                noon.endSample() + quiet.length,
                sound.samples().length - noon.endSample());
        assertThat(kinds(new Sound(longer, sound.rate()))).contains(Kind.SILENCE);
    }

    private static List<Kind> kinds(Sound sound) {
        return new ArrayList<>(Stream.of(checked(sound, TEXT, voice("nessa")))
                .flatMap(List::stream)
                .map(TakeFinding::kind)
                .toList());
    }

    private static void only(Kind kind, Sound sound) {
        assertThat(checked(sound, TEXT, voice("nessa")))
                .extracting(TakeFinding::kind)
                .containsExactly(kind);
    }
}
