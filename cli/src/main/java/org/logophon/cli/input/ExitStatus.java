package org.logophon.cli.input;

/** What the process ends with. */
public final class ExitStatus {

    public static final int DONE = 0;
    public static final int USAGE = 2;
    public static final int INPUT_UNUSABLE = 3;
    /** A cue failed, a budget was missed, or something went wrong that is nobody's input. */
    public static final int FAILED = 4;

    private ExitStatus() {}
}
