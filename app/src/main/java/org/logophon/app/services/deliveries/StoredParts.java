package org.logophon.app.services.deliveries;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Optional;
import java.util.function.IntFunction;

/** A file that is stored in parts, so that no more than one of them is held in memory. */
final class StoredParts {

    private StoredParts() {}

    /** @param part the bytes at a position, counted from 0; nothing after the last */
    static void copy(IntFunction<Optional<byte[]>> part, OutputStream out) throws IOException {
        for (int position = 0; ; position++) {
            Optional<byte[]> content = part.apply(position);
            if (content.isEmpty()) {
                return;
            }
            out.write(content.get());
        }
    }
}
