package org.logophon.core.direction.phrasing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.mark.Instruction;

/** What phrasing does at one place, in full: at 100 % phrasing and 100 % pace. */
public sealed interface PhraseMove {

    /** The marks that do nearly the same: what is shown becomes the user's own with one press. */
    List<Instruction> instructions();

    /** How it is shown, as a page knows it. */
    String id();

    /** The same at a strength of the dial. @param percent of 100 */
    PhraseMove at(int percent);

    /** Silence after a word. */
    record Rest(double seconds) implements PhraseMove {

        @Override
        public String id() {
            return "rest";
        }

        @Override
        public Rest at(int percent) {
            return new Rest(seconds * percent / 100);
        }

        @Override
        public List<Instruction> instructions() {
            return List.of(new Instruction.Pause((int) Math.round(seconds * 100) * 10));
        }
    }

    /**
     * The end of a phrase, from the stressed syllable of its last content word on.
     *
     * @param semitones   how far the pitch glides; 0 for level
     * @param lengthening factor of the last stressed syllable
     */
    record Ending(double semitones, double lengthening) implements PhraseMove {

        @Override
        public String id() {
            return semitones > 0 ? "rise" : semitones < 0 ? "fall" : "level";
        }

        @Override
        public Ending at(int percent) {
            return new Ending(semitones * percent / 100, Math.pow(lengthening, percent / 100.0));
        }

        @Override
        public List<Instruction> instructions() {
            List<Instruction> marks = new ArrayList<>();
            if (semitones != 0) {
                marks.add(new Instruction.Pitch(tenth(semitones)));
            }
            if (lengthening > 1) {
                marks.add(new Instruction.Pace((int) Math.round(100 / lengthening)));
            }
            return marks;
        }
    }

    /** The stressed syllable of a word is higher, and the voice glides back. */
    record Accent(double semitones) implements PhraseMove {

        @Override
        public String id() {
            return "accent";
        }

        @Override
        public Accent at(int percent) {
            return new Accent(semitones * percent / 100);
        }

        @Override
        public List<Instruction> instructions() {
            return List.of(new Instruction.Pitch(tenth(semitones)));
        }
    }

    /** A word gains stress, or loses it. */
    record Weight(boolean gained) implements PhraseMove {

        @Override
        public String id() {
            return gained ? "stressed" : "unstressed";
        }

        @Override
        public Weight at(int percent) {
            return this;
        }

        /** Ours: plainly less than a mark of strong stress. */
        public double semitones() {
            return gained ? 1.5 : -0.8;
        }

        public double length() {
            return gained ? 1.08 : 0.95;
        }

        public double decibels() {
            return gained ? 1.2 : -0.8;
        }

        @Override
        public List<Instruction> instructions() {
            return List.of(new Instruction.Stress(gained ? Instruction.Level.MODERATE : Instruction.Level.REDUCED));
        }
    }

    /** A run is spoken otherwise as a whole. @param rangePercent 100 for as it is, as with pace */
    record Span(double semitones, int pacePercent, double decibels, int rangePercent) implements PhraseMove {

        @Override
        public String id() {
            return "span";
        }

        @Override
        public Span at(int percent) {
            double share = percent / 100.0;
            return new Span(
                    semitones * share,
                    (int) Math.round(100 * Math.pow(pacePercent / 100.0, share)),
                    decibels * share,
                    (int) Math.round(100 * Math.pow(rangePercent / 100.0, share)));
        }

        @Override
        public List<Instruction> instructions() {
            List<Instruction> marks = new ArrayList<>();
            if (semitones != 0) {
                marks.add(new Instruction.Pitch(tenth(semitones)));
            }
            if (pacePercent != Dial.PACE.neutral()) {
                marks.add(new Instruction.Pace(pacePercent));
            }
            if (decibels != 0) {
                marks.add(new Instruction.Volume(tenth(decibels)));
            }
            if (rangePercent != Dial.RANGE.neutral()) {
                marks.add(new Instruction.Range(rangePercent));
            }
            return marks;
        }
    }

    /** Short, with its unit, as a page writes it. */
    default String label() {
        if (this instanceof Rest rest) {
            return String.format(Locale.ROOT, "%.2f s", rest.seconds());
        }
        if (this instanceof Ending ending) {
            String way = ending.semitones() > 0 ? "rises" : ending.semitones() < 0 ? "falls" : "stays level";
            return ending.semitones() == 0
                    ? way
                    : way + String.format(Locale.ROOT, " by %.1f st", Math.abs(ending.semitones()));
        }
        if (this instanceof Accent accent) {
            return String.format(Locale.ROOT, "begins %.1f st higher", accent.semitones());
        }
        if (this instanceof Weight weight) {
            return weight.gained() ? "stressed" : "without stress";
        }
        Span span = (Span) this;
        List<String> said = new ArrayList<>();
        if (span.semitones() != 0) {
            said.add(span.semitones() < 0 ? "lower" : "higher");
        }
        if (span.rangePercent() != Dial.RANGE.neutral()) {
            said.add(span.rangePercent() > Dial.RANGE.neutral() ? "livelier" : "flatter");
        }
        if (span.pacePercent() != Dial.PACE.neutral()) {
            said.add(span.pacePercent() > Dial.PACE.neutral() ? "quicker" : "slower");
        }
        if (span.decibels() != 0) {
            said.add(span.decibels() < 0 ? "softer" : "louder");
        }
        return String.join(", ", said);
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
