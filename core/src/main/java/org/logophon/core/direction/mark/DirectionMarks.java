package org.logophon.core.direction.mark;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.reading.BracketedDirections.Bracketed;
import org.logophon.core.text.script.Sentences;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;

/**
 * The marks that directions written into a script stand for: {@code [pause 1.5]} is a pause, {@code (whispering)}
 * whispers to the end of the sentence. Lengths and amounts are ours.
 */
public final class DirectionMarks {

    private static final Pattern PAUSE = Pattern.compile("(?:a )?(short |long |brief )?(pause|beat|silence)"
            + "(?:,? (?:of |for )?(\\d{1,2}(?:[.,]\\d{1,2})?) ?(?:s|sec|secs|seconds?)?)?");
    private static final double BEAT_SECONDS = 0.5;
    private static final double PAUSE_SECONDS = 1;
    private static final double LONGEST_SECONDS = 10;

    private static final Pattern SOFTLY = Pattern.compile("(?:soft|softly|quiet|quietly)");
    private static final Pattern LOUDLY = Pattern.compile("(?:loud|loudly|shouts|shouting|shouted)");
    private static final Pattern SLOWLY = Pattern.compile("(?:slow|slower|slowly)");
    private static final Pattern QUICKLY = Pattern.compile("(?:fast|faster|quick|quickly|hurried|hurriedly)");
    private static final Pattern WHISPERING = Pattern.compile("(?:whisper|whispers|whispering|whispered)");

    private DirectionMarks() {}

    /** Empty for one that no mark stands for, or that has no words to stand on. */
    public static Optional<Mark> of(String text, Bracketed direction, String language) {
        String words = direction.words().toLowerCase(Locale.ROOT).strip().replaceAll("[.!]+$", "");
        Matcher pause = PAUSE.matcher(words);
        if (pause.matches()) {
            return seconds(pause).flatMap(seconds -> pause(text, direction, seconds));
        }
        return asked(words).flatMap(instruction -> onWhatFollows(text, direction, language, instruction));
    }

    /** What such a mark does, in words. */
    public static String told(Mark mark) {
        if (mark.instruction() instanceof Instruction.Pause pause) {
            return "a pause of "
                    + String.format(Locale.ROOT, "%.2f", pause.millis() / 1_000.0)
                            .replaceAll("\\.?0+$", "") + " s";
        }
        if (mark.instruction() instanceof Instruction.Volume loudness) {
            return loudness.decibels() < 0 ? "softer" : "louder";
        }
        if (mark.instruction() instanceof Instruction.Pace pace) {
            return pace.percent() < 100 ? "slower" : "faster";
        }
        return mark.instruction().id();
    }

    private static Optional<Double> seconds(Matcher pause) {
        if (pause.group(3) != null) {
            double seconds = Double.parseDouble(pause.group(3).replace(',', '.'));
            return seconds > 0 && seconds <= LONGEST_SECONDS ? Optional.of(seconds) : Optional.empty();
        }
        double usual = pause.group(2).equals("beat") ? BEAT_SECONDS : PAUSE_SECONDS;
        return Optional.of(pause.group(1) == null ? usual : pause.group(1).startsWith("long") ? 2 * usual : usual / 2);
    }

    private static Optional<Instruction> asked(String words) {
        if (WHISPERING.matcher(words).matches()) {
            return Optional.of(new Instruction.Whisper());
        }
        if (SOFTLY.matcher(words).matches()) {
            return Optional.of(new Instruction.Volume(-4));
        }
        if (LOUDLY.matcher(words).matches()) {
            return Optional.of(new Instruction.Volume(4));
        }
        if (SLOWLY.matcher(words).matches()) {
            return Optional.of(new Instruction.Pace(85));
        }
        return QUICKLY.matcher(words).matches() ? Optional.of(new Instruction.Pace(115)) : Optional.empty();
    }

    /** In the gap after the word before it, where a word follows. */
    private static Optional<Mark> pause(String text, Bracketed direction, double seconds) {
        List<Word> words = Words.of(text);
        boolean followed = words.stream().anyMatch(word -> word.start() >= direction.end());
        return words.stream()
                .filter(word -> followed && word.end() <= direction.start())
                .reduce((one, next) -> next)
                .map(word ->
                        Mark.own(word.start(), word.end(), new Instruction.Pause((int) Math.round(seconds * 1_000))));
    }

    /** To the end of the sentence, or to the next direction. */
    private static Optional<Mark> onWhatFollows(
            String text, Bracketed direction, String language, Instruction instruction) {
        int from = direction.end();
        int bracket = text.indexOf('[', from);
        int round = text.indexOf('(', from);
        int until = Math.min(bracket < 0 ? text.length() : bracket, round < 0 ? text.length() : round);
        int end = Sentences.ends(text.substring(from), language).stream()
                .map(sentence -> from + sentence)
                .filter(sentence -> Words.of(text.substring(from, sentence)).size() > 0)
                .findFirst()
                .orElse(text.length());
        List<Word> words = Words.of(text).stream()
                .filter(word -> word.start() >= from && word.end() <= Math.min(end, until))
                .toList();
        return words.isEmpty()
                ? Optional.empty()
                : Optional.of(Mark.own(
                        words.get(0).start(), words.get(words.size() - 1).end(), instruction));
    }
}
