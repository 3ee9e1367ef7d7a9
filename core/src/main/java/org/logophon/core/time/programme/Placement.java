package org.logophon.core.time.programme;

/** The placement of a cue's clip. */
public sealed interface Placement {

    /** After the cue before it and its gap. */
    Placement FOLLOW = new Follow();

    /** See {@link #FOLLOW}. */
    record Follow() implements Placement {}

    /**
     * A place of its own, whatever comes before it.
     *
     * @param start from the programme's start
     */
    record Fixed(SampleCount start) implements Placement {}

    /**
     * A place in the time that the picture leaves for it.
     *
     * @param in     from the programme's start
     * @param out    after {@code in}
     * @param offset of its own, on from where the anchor puts it; may be negative
     */
    record InSlot(SampleCount in, SampleCount out, Anchor anchor, SampleCount offset) implements Placement {

        public InSlot {
            if (out.compareTo(in) <= 0) {
                throw new IllegalArgumentException("a slot ends after it starts");
            }
        }

        public SampleCount length() {
            return out.minus(in);
        }
    }

    /** Which of a clip and its slot come together. */
    enum Anchor {
        START,
        MIDDLE,
        END
    }
}
