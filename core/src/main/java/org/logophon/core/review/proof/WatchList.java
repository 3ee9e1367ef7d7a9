package org.logophon.core.review.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.ReadingList;

/** Words of the user's own watch list. Whole words are found the way readings find them. */
final class WatchList implements Check {

    private final Map<String, WatchWord> words;
    private final ReadingList finder;

    WatchList(List<WatchWord> watched) {
        words = watched.stream()
                .collect(Collectors.toMap(w -> w.avoid().toLowerCase(Locale.ROOT), Function.identity(), (a, b) -> a));
        finder = new ReadingList(List.of(
                watched.stream().map(w -> Reading.words(w.avoid(), w.avoid())).toList()));
    }

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        for (ReadingList.Match match : finder.find(cue.text(), cue.language())) {
            WatchWord word = words.get(match.reading().written().toLowerCase(Locale.ROOT));
            String written = cue.text().substring(match.start(), match.end());
            List<Suggestion> suggestions = new ArrayList<>();
            word.instead().forEach(other -> suggestions.add(new Suggestion(Act.WRITE, cased(other, written))));
            String reason = "On your watch list"
                    + (word.note().isEmpty() ? "." : ": " + word.note().replaceFirst("\\.$", "") + ".");
            found.add(new Finding(
                    match.start(), match.end(), written, FindingKind.WATCH_WORD, reason, written, suggestions, false));
        }
    }

    private static String cased(String word, String like) {
        return Character.isUpperCase(like.codePointAt(0))
                ? word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1)
                : word;
    }
}
