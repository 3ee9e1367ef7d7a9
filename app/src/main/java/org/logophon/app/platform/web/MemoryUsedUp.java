package org.logophon.app.platform.web;

/** The test of whether a failure means that memory has run out: it ends in order, and the launcher starts another. */
public final class MemoryUsedUp {

    public static final String SENTENCE =
            "Logophon ran out of memory at this and starts anew, which takes some seconds. "
                    + "What was saved is safe; then try again, with less at once.";
    public static final String OF_A_JOB =
            "This took more memory than Logophon has. Make the cue shorter or pack fewer of them, "
                    + "or give Logophon more memory (LOGOPHON_HEAP in the settings), then try again.";

    private MemoryUsedUp() {}

    public static boolean is(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof OutOfMemoryError) {
                return true;
            }
        }
        return false;
    }
}
