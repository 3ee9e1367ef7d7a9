package org.logophon.core.signal.prosody;

import java.util.List;

/**
 * What is to become of each stretch of a sound. Stretches follow one another without holes; at a border the pitch
 * slides
 * over 30 ms, as a voice does.
 */
public final class Contour {

    private static final double SLIDE_SECONDS = 0.030;

    private final int[] from;
    private final Shape[] shapes;
    private final double[] centres;
    private final double[] laid;
    private final double slide;
    private final int length;
    private final Melody melody;

    /**
     * One stretch.
     *
     * @param to     sample after its last
     * @param centre pitch around which its range is narrowed or widened, in Hz; 0 for the median of the whole sound
     */
    public record Stretch(int to, Shape shape, double centre) {}

    /** Without a melody of its own. @param stretches in order, the last one up to the sound's length */
    public Contour(List<Stretch> stretches, int rate) {
        this(stretches, rate, null);
    }

    /**
     * @param stretches in order, the last one up to the sound's length
     * @param melody    what is added to the pitch besides; null for nothing
     */
    public Contour(List<Stretch> stretches, int rate, Melody melody) {
        this.melody = melody;
        int count = stretches.size();
        from = new int[count];
        shapes = new Shape[count];
        centres = new double[count];
        laid = new double[count + 1];
        int at = 0;
        for (int i = 0; i < count; i++) {
            Stretch stretch = stretches.get(i);
            if (stretch.to() < at) {
                throw new IllegalArgumentException("The stretches of a contour follow one another.");
            }
            from[i] = at;
            shapes[i] = stretch.shape();
            centres[i] = stretch.centre();
            laid[i + 1] = laid[i] + (stretch.to() - at) / stretch.shape().paceFactor();
            at = stretch.to();
        }
        this.length = at;
        this.slide = SLIDE_SECONDS * rate;
    }

    /** The same all through. */
    static Contour of(Shape shape, int length, int rate) {
        return new Contour(List.of(new Stretch(length, shape, 0)), rate);
    }

    int length() {
        return length;
    }

    /** Samples of the result. */
    int laidLength() {
        return (int) Math.round(laid[laid.length - 1]);
    }

    boolean changesNothing() {
        if (melody != null && melody.most(0, length) > 0) {
            return false;
        }
        for (Shape shape : shapes) {
            if (!shape.changesNothing()) {
                return false;
            }
        }
        return true;
    }

    /** Where a sample of the sound comes to lie. */
    public int moved(int sample) {
        int i = stretchAt(sample);
        return (int) Math.round(laid[i] + (sample - from[i]) / shapes[i].paceFactor());
    }

    /** Which sample of the sound comes to lie at a place. */
    double source(double place) {
        int low = 0;
        int high = from.length - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (laid[middle] <= place) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return from[low] + (place - laid[low]) * shapes[low].paceFactor();
    }

    Shape at(int sample) {
        return shapes[stretchAt(sample)];
    }

    /** The pitch that a pitch at a sample becomes. @param median of the whole sound, in Hz */
    double pitch(int sample, double hertz, double median) {
        int i = stretchAt(sample);
        double centre = centres[i] > 0 ? centres[i] : median;
        double ranged = centre * Math.pow(hertz / centre, shapes[i].rangeFactor());
        double added = melody == null ? 0 : melody.at(sample);
        return ranged * Math.pow(2, (semitones(sample, i) + added) / 12);
    }

    private double semitones(int sample, int i) {
        double own = shapes[i].semitones();
        int end = i + 1 < from.length ? from[i + 1] : length;
        if (i > 0 && sample - from[i] < slide / 2) {
            return mixed(shapes[i - 1].semitones(), own, 0.5 + (sample - from[i]) / slide);
        }
        if (i + 1 < from.length && end - sample < slide / 2) {
            return mixed(own, shapes[i + 1].semitones(), 0.5 - (end - sample) / slide);
        }
        return own;
    }

    private static double mixed(double a, double b, double share) {
        return a + (b - a) * share;
    }

    private int stretchAt(int sample) {
        int low = 0;
        int high = from.length - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (from[middle] <= sample) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
