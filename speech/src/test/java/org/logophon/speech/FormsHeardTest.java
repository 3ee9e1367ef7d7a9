package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.heard.Recogniser;

/**
 * Twenty sentences full of written forms, said by the default voice to Debian's pocketsphinx: how many of the words of
 * their forms it hears, as the engine reads them by itself, and by rule. Much work: in {@code ./logophon fuzz} alone.
 */
class FormsHeardTest {

    /** @param words of its forms, as somebody would read them aloud in American English */
    private record Sentence(String written, String words) {}

    private static final List<Sentence> SENTENCES = List.of(
            new Sentence("The tower has stood here since 1746.", "seventeen forty six"),
            new Sentence("It cost $38,500 to build the house.", "thirty eight thousand five hundred dollars"),
            new Sentence("The boat came in at 4:52 every morning.", "four fifty two"),
            new Sentence("They closed the door on 4 March 1911.", "march fourth nineteen eleven"),
            new Sentence("About 45% of the people stayed at home.", "forty five percent"),
            new Sentence("Our SEO is better than it was last year.", "s e o"),
            new Sentence("Please read the FAQ before you call us.", "f a q"),
            new Sentence("The CEO of the company lives in the US.", "c e o u s"),
            new Sentence("We use AI for the first draft only.", "a i"),
            new Sentence("She works in IT, and he is in the UK now.", "i t u k"),
            new Sentence("In the 1990s it was sold to a bank.", "nineteen nineties"),
            new Sentence("It is open 24/7, and the shop is free.", "twenty four seven"),
            new Sentence("Only 1/2 of the money was ever found.", "one half"),
            new Sentence("The film was made in 4K with 3D glasses.", "four k three d"),
            new Sentence("The room is 6 ft wide and 10 ft long.", "six feet ten feet"),
            new Sentence("It was -5 °C in the morning.", "minus five degrees celsius"),
            new Sentence("Call Dr. Brown at No. 4 in the street.", "doctor number four"),
            new Sentence("World War II ended before they met.", "world war two"),
            new Sentence("Pages 5–10 are about the 2nd house.", "five to ten second"),
            new Sentence("Two PCs and 12 TVs were left in the room.", "p c's twelve t v's"));

    private static final Voice VOICE =
            NativeVoices.catalogue().find(NativeVoices.DEFAULT_ID).orElseThrow();

    private static List<String> words(String text) {
        return List.of(text.toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z' ]", " ")
                .strip()
                .split("\\s+"));
    }

    private static String heard(SpokenText text, Path folder) throws IOException, InterruptedException {
        Sound said =
                SharedSpeech.ENGINES.speak(new SpeechRequest(VOICE, text, 1, 0)).sound();
        Path wav = Files.createTempFile(folder, "said", ".wav");
        try (var out = Files.newOutputStream(wav)) {
            WavWriter.write(
                    new WorkerResampler(SharedSpeech.POOL).resample(said, Recogniser.RATE),
                    SampleFormat.PCM_16,
                    null,
                    out);
        }
        return Recogniser.hear(wav);
    }

    /** In their order. */
    private static int found(List<String> wanted, List<String> heard) {
        int[][] common = new int[wanted.size() + 1][heard.size() + 1];
        for (int i = 1; i <= wanted.size(); i++) {
            for (int k = 1; k <= heard.size(); k++) {
                common[i][k] = wanted.get(i - 1).equals(heard.get(k - 1))
                        ? common[i - 1][k - 1] + 1
                        : Math.max(common[i - 1][k], common[i][k - 1]);
            }
        }
        return common[wanted.size()][heard.size()];
    }

    /** Of 70 words 43 by itself, and 51 by rule. */
    @Test
    @EnabledIfSystemProperty(named = "logophon.promises", matches = "true")
    void moreWordsOfFormsAreHeardThanTheEngineSaysByItself(@TempDir Path folder) throws Exception {
        int all = 0;
        int byItself = 0;
        int byRule = 0;
        for (Sentence sentence : SENTENCES) {
            List<String> wanted = words(sentence.words());
            String written = sentence.written();
            String alone = heard(SpokenText.of(written), folder);
            String ruled =
                    heard(SpokenText.of(written, SaidByRule.of(written, VOICE.language()), VOICE.language()), folder);
            all += wanted.size();
            byItself += found(wanted, words(alone));
            byRule += found(wanted, words(ruled));
            System.out.printf("%s%n  by itself: %s  by rule:   %s", written, alone, ruled);
        }
        System.out.printf("Of %d words: %d by itself, %d by rule%n", all, byItself, byRule);
        assertThat(byRule).isGreaterThan(byItself);
    }
}
