package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;

/** Written forms and initials in voices that people choose: the same samples as the words spelled out for a reader. */
class InitialsTest {

    private record Pair(String written, String spelledOut) {

        /** For engines that read these words by other rules; "eigh" is what "eight" begins with. */
        String inOtherEngines() {
            return spelledOut
                    .replaceAll("\\bay\\b", "eigh")
                    .replace("eff", "F")
                    .replace("aitch", "H")
                    .replace("Use", "Yooz");
        }
    }

    /** The names of letters as dictionaries respell them. */
    private static final List<Pair> INITIALS = List.of(
            new Pair("The AI tool is new.", "The ay eye tool is new."),
            new Pair("I use it, and it is of use.", "I yooz it, and it is of yoose."),
            new Pair("She had read it by the lead mine.", "She had red it by the led mine."),
            new Pair("Our SEO has to be good.", "Our ess ee oh has to be good."),
            new Pair("See the FAQ first.", "See the eff ay cue first."),
            new Pair("The CEO left at noon.", "The see ee oh left at noon."),
            new Pair("She works in IT now.", "She works in eye tee now."),
            new Pair("From the US to the UK.", "From the you ess to the you kay."),
            new Pair("Two PCs are here.", "Two pee see's are here."),
            new Pair("It is the BBC's own.", "It is the bee bee see's own."),
            new Pair("A 3D film in 4K.", "A three dee film in four kay."),
            new Pair("Use H.264 for it.", "Use aitch two six four for it."),
            new Pair("That was plan A.", "That was plan ay."));

    private static final List<Pair> FORMS = List.of(
            new Pair("It has 360 prisms.", "It has three hundred sixty prisms."),
            new Pair("It was new in 1911.", "It was new in nineteen eleven."),
            new Pair("It cost $38,500 in all.", "It cost thirty-eight thousand five hundred dollars in all."),
            new Pair("Lit at 4:52 each day.", "Lit at four fifty-two each day."),
            new Pair("Door No. 4 is shut.", "Door number four is shut."),
            new Pair("Only 1/2 of it is left.", "Only one half of it is left."),
            new Pair("It is open 24/7 here.", "It is open twenty-four seven here."),
            new Pair("In the 1990s it was sold.", "In the nineteen nineties it was sold."),
            new Pair("About 45% of it.", "About forty-five percent of it."),
            new Pair("A 360 camera saw it.", "A three sixty camera saw it."));

    /** Clear voices of their own, not tuned from another. */
    static Stream<Voice> voices() {
        return NativeVoices.catalogue().all().stream()
                .filter(voice -> voice.language().equals("en-US")
                        && voice.engine().equals("flite")
                        && voice.tuning().equals(Tuning.NONE));
    }

    private static SpokenText written(Voice voice, String text) {
        return SpokenText.of(text, SaidByRule.of(text, voice.language()), voice.language());
    }

    private static float[] said(Voice voice, SpokenText text) {
        return SharedSpeech.ENGINES
                .speak(new SpeechRequest(voice, text, 1, 0))
                .sound()
                .samples();
    }

    @ParameterizedTest
    @MethodSource("voices")
    void initialsAndFormsAreTheSameSamplesAsTheirWords(Voice voice) {
        for (Pair pair : Stream.concat(INITIALS.stream(), FORMS.stream()).toList()) {
            SpokenText written = written(voice, pair.written());
            assertThat(said(voice, written))
                    .as(voice.name() + ": " + pair.written() + " → " + written.text())
                    .isEqualTo(said(voice, SpokenText.of(pair.spelledOut())));
        }
    }

    /** A voice of each accent of the other engines: what they say doesn't depend on whose voice it is. */
    static Stream<Voice> accents() {
        return NativeVoices.catalogue().all().stream()
                .filter(voice -> voice.language().startsWith("en")
                        && !voice.engine().equals("flite")
                        && voice.tuning().equals(Tuning.NONE))
                .collect(Collectors.toMap(
                        voice -> voice.engine() + voice.language(), voice -> voice, (one, other) -> one, TreeMap::new))
                .values()
                .stream();
    }

    /** Its sounds, without rests; stress and length differ where a word stands for a letter. */
    private static List<String> sounds(Voice voice, SpokenText text) {
        return SharedSpeech.ENGINES.speak(new SpeechRequest(voice, text, 1, 0)).phonemes().stream()
                .map(sound -> sound.ipa().replaceAll("[ːˈˌ ]", ""))
                .filter(ipa -> !ipa.isEmpty())
                .toList();
    }

    @ParameterizedTest
    @MethodSource("accents")
    void initialsHaveTheSoundsOfTheirWordsInOtherEngines(Voice voice) {
        List<String> eight = sounds(voice, SpokenText.of("That was plan eight."));
        SpokenText plan = written(voice, "That was plan A.");
        assertThat(sounds(voice, plan)).as(voice.name()).isEqualTo(eight.subList(0, eight.size() - 1));
        for (Pair pair : INITIALS) {
            SpokenText written = written(voice, pair.written());
            assertThat(sounds(voice, written))
                    .as(voice.name() + ": " + pair.written() + " → " + written.text())
                    .isEqualTo(sounds(voice, SpokenText.of(pair.inOtherEngines())));
        }
    }
}
