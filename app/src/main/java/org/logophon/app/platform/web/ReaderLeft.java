package org.logophon.app.platform.web;

import java.io.IOException;
import org.apache.catalina.connector.ClientAbortException;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;

/** The test of whether a client closed the connection: a tab was closed, or a player has heard enough. */
final class ReaderLeft {

    private ReaderLeft() {}

    static boolean is(Throwable error) {
        for (Throwable cause = error; cause != null; cause = cause.getCause()) {
            if (cause instanceof ClientAbortException
                    || cause instanceof AsyncRequestNotUsableException
                    || cause instanceof IOException
                            && cause.getMessage() != null
                            && cause.getMessage().matches("Broken pipe|Connection reset( by peer)?")) {
                return true;
            }
        }
        return false;
    }
}
