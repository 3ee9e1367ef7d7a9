package org.logophon.core.text.heteronym;

import java.util.List;
import java.util.Locale;

/** The words of a sentence, with their parts of speech where they are asked for: finding them takes time. */
final class Sentence {

    private final List<String> words;
    private List<String> tags;

    Sentence(List<String> words) {
        this.words = List.copyOf(words);
    }

    int length() {
        return words.size();
    }

    List<String> words() {
        return words;
    }

    String word(int at) {
        return words.get(at);
    }

    /** Empty outside of the sentence. */
    String lower(int at) {
        return at < 0 || at >= words.size() ? "" : words.get(at).toLowerCase(Locale.ROOT);
    }

    /** As Universal Dependencies name it; empty outside of the sentence. */
    String tag(int at) {
        if (at < 0 || at >= words.size()) {
            return "";
        }
        if (tags == null) {
            tags = PartsOfSpeech.of(words);
        }
        return tags.get(at);
    }
}
