package org.logophon.app.platform.web;

/** A stack trace for the log: kinds and places, and none of the words that its messages may quote. */
public final class LogSafeTrace {

    private static final int MOST_FRAMES = 40;

    private LogSafeTrace() {}

    public static String withoutWords(Throwable error) {
        StringBuilder trace = new StringBuilder();
        int depth = 0;
        for (Throwable at = error; at != null && depth < 8; at = at.getCause(), depth++) {
            trace.append(depth == 0 ? "" : "\ncaused by ").append(at.getClass().getName());
            StackTraceElement[] frames = at.getStackTrace();
            for (int i = 0; i < Math.min(MOST_FRAMES, frames.length); i++) {
                trace.append("\n\tat ").append(frames[i]);
            }
        }
        return trace.toString();
    }
}
