package org.logophon.core.delivery;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.logophon.core.programme.Programme;

/** A file of a package that tells of the whole programme, beside its clips. */
public interface PackagePart {

    /** What every package holds, in the order in which it is written. */
    List<PackagePart> ALL = List.of(new CueSheet(), new SubRipFile());

    String fileName();

    /** Writes the file; the stream stays open. */
    void write(Programme<DeliveredClip> programme, OutputStream out) throws IOException;
}
