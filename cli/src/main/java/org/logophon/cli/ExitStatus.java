package org.logophon.cli;

/** What the process ends with. */
public final class ExitStatus {

    public static final int DONE = 0;
    public static final int FAILED = 1;
    public static final int USAGE = 2;
    public static final int INPUT_UNUSABLE = 3;
    public static final int CUE_FAILED = 4;

    private ExitStatus() {}
}
