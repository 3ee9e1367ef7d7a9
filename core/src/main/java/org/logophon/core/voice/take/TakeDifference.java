package org.logophon.core.voice.take;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.MarkLabel;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.take.TakeOrigin.MarkThen;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;

/** The difference of two takes, in words: "pace 96 → 100 %". */
public final class TakeDifference {

    /** Words that are written out: beyond it they are just others. */
    private static final int MOST_LETTERS = 24;
    /** Marks that are named one by one. */
    private static final int MOST_MARKS = 3;

    private TakeDifference() {}

    /** @return short phrases in the order of their weight; none when nothing is known to differ */
    public static List<String> between(TakeOrigin before, TakeOrigin now) {
        List<String> said = new ArrayList<>();
        words(before, now, said);
        voice(before.voice(), now.voice(), said);
        if (Math.abs(before.paceFactor() - now.paceFactor()) > 5e-4) {
            said.add(String.format(
                    Locale.ROOT, "pace %.0f → %.0f %%", before.paceFactor() * 100, now.paceFactor() * 100));
        }
        if (Math.abs(before.semitones() - now.semitones()) > 5e-3) {
            said.add("pitch " + signed(before.semitones()) + " → " + signed(now.semitones()) + " st");
        }
        if (!before.treatment().equals(now.treatment())) {
            said.add(now.treatment().isEmpty() ? "without " + before.treatment() : now.treatment());
        }
        readings(before, now, said);
        marks(before, now, said);
        if (!Objects.equals(pauses(before), pauses(now))) {
            said.add("rests between sentences");
        }
        int phrased = phrasing(before);
        int phrasedNow = phrasing(now);
        if (phrased != phrasedNow) {
            said.add("phrasing " + phrased + " → " + phrasedNow + " %");
        }
        chance(before, now, said);
        if (said.isEmpty() && !Objects.equals(before.engineVersion(), now.engineVersion())) {
            said.add("another version of the engine");
        }
        return List.copyOf(said);
    }

    private static void words(TakeOrigin before, TakeOrigin now, List<String> said) {
        if (before.text().equals(now.text())) {
            return;
        }
        List<String> then = wordsOf(before.text());
        List<String> here = wordsOf(now.text());
        int head = 0;
        while (head < Math.min(then.size(), here.size()) && then.get(head).equals(here.get(head))) {
            head++;
        }
        int tail = 0;
        while (tail < Math.min(then.size(), here.size()) - head
                && then.get(then.size() - 1 - tail).equals(here.get(here.size() - 1 - tail))) {
            tail++;
        }
        String gone = String.join(" ", then.subList(head, then.size() - tail));
        String written = String.join(" ", here.subList(head, here.size() - tail));
        if (gone.isEmpty() && written.isEmpty()) {
            said.add("other signs");
            return;
        }
        if (gone.length() + written.length() > 2 * MOST_LETTERS) {
            said.add("other words");
        } else if (gone.isEmpty()) {
            said.add("“" + written + "” put in");
        } else {
            said.add(written.isEmpty() ? "without “" + gone + "”" : "“" + gone + "” → “" + written + "”");
        }
    }

    private static List<String> wordsOf(String text) {
        return Words.of(text).stream().map(word -> word.in(text)).toList();
    }

    private static void voice(VoiceThen before, VoiceThen now, List<String> said) {
        if (before == null || now == null) {
            if (before != now) {
                said.add(now == null ? "said by a person" : "said by " + name(now));
            }
            return;
        }
        if (!before.id().equals(now.id())) {
            said.add("voice " + name(before) + " → " + name(now));
        } else if (before.tuning() != null
                && now.tuning() != null
                && !before.tuning().equals(now.tuning())) {
            said.add(name(now) + " tuned otherwise");
        }
    }

    private static String name(VoiceThen voice) {
        return voice.name() == null ? voice.id() : voice.name();
    }

    private static void readings(TakeOrigin before, TakeOrigin now, List<String> said) {
        if (before.pronunciations() == null || now.pronunciations() == null) {
            return;
        }
        List<String> then = now(before);
        List<String> gone = new ArrayList<>(then);
        gone.removeAll(now(now));
        for (Pronunciation place : now.pronunciations()) {
            String reading = reading(now.text(), place);
            if (!then.contains(reading)) {
                String written = "“" + now.text().substring(place.start(), place.end()) + "”";
                gone.removeIf(other -> other.startsWith(written));
                said.add("reading of " + reading);
            }
        }
        gone.forEach(reading -> said.add("no reading of " + reading.substring(0, reading.indexOf('”') + 1)));
    }

    private static List<String> now(TakeOrigin origin) {
        return origin.pronunciations().stream()
                .map(place -> reading(origin.text(), place))
                .toList();
    }

    private static String reading(String text, Pronunciation place) {
        String words = place.ipa() ? "/" + place.words() + "/" : place.words();
        return "“" + text.substring(place.start(), place.end()) + "”: " + words;
    }

    private static void marks(TakeOrigin before, TakeOrigin now, List<String> said) {
        if (before.marks() == null || now.marks() == null) {
            return;
        }
        List<String> then = heard(before);
        List<String> here = heard(now);
        List<String> changes = new ArrayList<>();
        here.stream().filter(mark -> !then.contains(mark)).forEach(changes::add);
        then.stream().filter(mark -> !here.contains(mark)).forEach(mark -> changes.add("no " + mark));
        changes.stream().limit(MOST_MARKS).forEach(said::add);
        if (changes.size() > MOST_MARKS) {
            said.add(changes.size() - MOST_MARKS + " more marks");
        }
    }

    /** Readings are told by what they come to. */
    private static List<String> heard(TakeOrigin origin) {
        return origin.marks().stream()
                .map(MarkThen::mark)
                .filter(mark -> mark.heard() && !mark.instruction().id().equals("reading"))
                .map(mark -> {
                    String label = MarkLabel.of(mark.instruction());
                    String words = "“" + shortened(origin.text().substring(mark.start(), mark.end())) + "”";
                    boolean gap = mark.instruction().onGap();
                    boolean named = label.endsWith(mark.instruction().id());
                    return (gap && !named ? mark.instruction().id() + " " : "")
                            + label
                            + (gap ? " after " : " on ")
                            + words;
                })
                .toList();
    }

    private static String shortened(String words) {
        return words.length() <= MOST_LETTERS ? words : words.substring(0, MOST_LETTERS - 1) + "…";
    }

    private static int phrasing(TakeOrigin origin) {
        return ResolvedDirection.of(Stream.of(origin.project(), origin.ofRole(), origin.ofCue())
                        .filter(Objects::nonNull)
                        .toArray(Direction[]::new))
                .phrasingPercent();
    }

    private static PauseDefaults pauses(TakeOrigin origin) {
        return origin.pauses() == null ? PauseDefaults.NONE : origin.pauses();
    }

    private static void chance(TakeOrigin before, TakeOrigin now, List<String> said) {
        int lively = before.livelyPercent() == null ? 0 : before.livelyPercent();
        int livelyNow = now.livelyPercent() == null ? 0 : now.livelyPercent();
        if (lively != livelyNow) {
            said.add("liveliness " + lively + " → " + livelyNow + " %");
        }
        if (livelyNow > 0 && !Objects.equals(before.seed(), now.seed())) {
            said.add("another seed");
        }
    }

    private static String signed(double value) {
        return String.format(Locale.ROOT, "%+.1f", value)
                .replace('-', '−')
                .replace("+0.0", "0.0")
                .replace("−0.0", "0.0");
    }
}
