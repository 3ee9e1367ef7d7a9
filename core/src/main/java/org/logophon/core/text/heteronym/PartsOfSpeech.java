package org.logophon.core.text.heteronym;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import opennlp.tools.postag.POSModel;
import opennlp.tools.postag.POSTaggerME;

/** Parts of speech of English words, as Universal Dependencies name them: {@code NOUN}, {@code VERB}, {@code ADJ}… */
final class PartsOfSpeech {

    private static final String MODEL = "/opennlp-en-ud-ewt-pos-1.3-2.5.4.bin";

    /** The model is loaded once, when it is first asked; a tagger serves one thread. */
    private static final class Loaded {

        private static final POSModel POS = load();
        private static final ThreadLocal<POSTaggerME> TAGGER = ThreadLocal.withInitial(() -> new POSTaggerME(POS));

        private static POSModel load() {
            try (InputStream in = PartsOfSpeech.class.getResourceAsStream(MODEL)) {
                return new POSModel(in);
            } catch (IOException e) {
                throw new UncheckedIOException(
                        "The model of parts of speech can't be read. Build the application again.", e);
            }
        }
    }

    private static final int REMEMBERED = 4_000;
    /** Proof, estimate and recipe ask for the same sentences in turn, and an edit changes one of them. */
    private static final Cache<List<String>, List<String>> LATEST =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    private PartsOfSpeech() {}

    /** @param words of one sentence, with its punctuation; contractions apart, as in "do" and "n't" */
    static List<String> of(List<String> words) {
        return LATEST.get(words, sentence -> List.of(Loaded.TAGGER.get().tag(sentence.toArray(new String[0]))));
    }
}
