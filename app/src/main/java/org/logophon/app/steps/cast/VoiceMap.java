package org.logophon.app.steps.cast;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.DoubleStream;

/**
 * Voices by measured pitch (to the right, an octave as wide as any other) and pace (upwards); the larger a dot, the
 * livelier
 * the voice. Places are in the units of the drawing.
 *
 * @param dots    the voices that match
 * @param others  the places of those that don't, as one path of points (SVG 2, section 9.3)
 * @param without voices that match and have no place: whispers, and those that aren't measured yet
 */
record VoiceMap(List<Dot> dots, String others, List<Tick> pitches, List<Tick> paces, int without) {

    static final int WIDTH = 760;
    static final int HEIGHT = 300;
    private static final int LEFT = 44;
    private static final int RIGHT = 16;
    private static final int TOP = 26;
    private static final int BOTTOM = 34;
    private static final double[] PITCHES = {60, 80, 100, 125, 160, 200, 250, 320, 400};

    record Dot(String voice, String label, double x, double y, double radius, ClearBand band, boolean shortlisted) {}

    record Tick(double at, String label) {}

    static VoiceMap of(List<VoiceRow> all, List<VoiceRow> matching) {
        Set<String> shown = new HashSet<>();
        matching.forEach(row -> shown.add(row.voice().id()));
        List<VoiceRow> placed = all.stream()
                .filter(row -> row.figures() != null
                        && row.figures().medianPitchHz() != null
                        && row.figures().wordsPerMinute() != null)
                .toList();
        double lowest = Math.min(75, pitches(placed).min().orElse(75)) / 1.04;
        double highest = Math.max(260, pitches(placed).max().orElse(260)) * 1.04;
        // the scale is that of what matches: other languages are measured on other passages
        List<VoiceRow> scaled =
                placed.stream().filter(row -> shown.contains(row.voice().id())).toList();
        double slowest = Math.floor((paces(scaled).min().orElse(150) - 6) / 10) * 10;
        double fastest = Math.ceil((paces(scaled).max().orElse(220) + 6) / 10) * 10;
        List<Dot> dots = new ArrayList<>();
        StringBuilder others = new StringBuilder();
        for (VoiceRow row : placed) {
            double pace = row.figures().wordsPerMinute();
            if (pace < slowest || pace > fastest) {
                continue;
            }
            double x = round(x(row.figures().medianPitchHz(), lowest, highest));
            double y = round(y(pace, slowest, fastest));
            if (!shown.contains(row.voice().id())) {
                others.append('M').append(x).append(' ').append(y).append("h0");
                continue;
            }
            double radius = 3.5 + 0.75 * Math.min(6, row.figures().pitchRangeSemitones());
            dots.add(new Dot(
                    row.voice().id(),
                    "%s, %s, %s, %s, %s, clear: %s"
                            .formatted(
                                    row.voice().name(),
                                    row.voice().speaks(),
                                    row.about(),
                                    row.pitch(),
                                    row.pace(),
                                    row.clear()),
                    x,
                    y,
                    round(radius),
                    row.band(),
                    row.note().shortlisted()));
        }
        // the largest at the bottom, so that none hides another
        dots.sort(Comparator.comparingDouble(Dot::radius).reversed());
        return new VoiceMap(
                dots,
                others.toString(),
                DoubleStream.of(PITCHES)
                        .filter(p -> p > lowest && p < highest)
                        .mapToObj(p -> new Tick(round(x(p, lowest, highest)), Math.round(p) + ""))
                        .toList(),
                paces(slowest, fastest),
                matching.size() - scaled.size());
    }

    private static DoubleStream pitches(List<VoiceRow> placed) {
        return placed.stream().mapToDouble(row -> row.figures().medianPitchHz());
    }

    private static DoubleStream paces(List<VoiceRow> rows) {
        return rows.stream().mapToDouble(row -> row.figures().wordsPerMinute());
    }

    private static List<Tick> paces(double slowest, double fastest) {
        double step = fastest - slowest > 120 ? 40 : fastest - slowest > 60 ? 20 : 10;
        List<Tick> ticks = new ArrayList<>();
        for (double pace = Math.ceil(slowest / step) * step; pace <= fastest; pace += step) {
            ticks.add(new Tick(round(y(pace, slowest, fastest)), String.format(Locale.ROOT, "%.0f", pace)));
        }
        return ticks;
    }

    private static double x(double hertz, double lowest, double highest) {
        return LEFT + Math.log(hertz / lowest) / Math.log(highest / lowest) * (WIDTH - LEFT - RIGHT);
    }

    private static double y(double pace, double slowest, double fastest) {
        return HEIGHT - BOTTOM - (pace - slowest) / (fastest - slowest) * (HEIGHT - TOP - BOTTOM);
    }

    private static double round(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
