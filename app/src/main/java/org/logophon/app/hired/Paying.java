package org.logophon.app.hired;

import java.util.UUID;
import java.util.function.Supplier;

/**
 * The agreement under which a thread may pay. Speech is made far below what knows of projects and prices; this reaches
 * there.
 */
public final class Paying {

    private static final ThreadLocal<UUID> AGREEMENT = new ThreadLocal<>();

    private Paying() {}

    /** @param agreement null for none: then nothing is paid */
    public static <T> T under(UUID agreement, Supplier<T> work) {
        UUID before = AGREEMENT.get();
        AGREEMENT.set(agreement);
        try {
            return work.get();
        } finally {
            AGREEMENT.set(before);
        }
    }

    /** Null when nobody has agreed to anything here. */
    static UUID agreement() {
        return AGREEMENT.get();
    }
}
