package org.logophon.core.delivery.part;

import java.util.List;
import java.util.Optional;
import org.logophon.core.delivery.Part;

/** Every part that tells of a programme: a new one is a file beside these and a line here. */
public final class Parts {

    public static final List<Part> ALL = List.of(
            new ClipsPart(),
            new ProgrammePart(),
            new PiecesPart(),
            new AudiobookPart(),
            new BedPart(),
            new CaptionsPart(),
            new WordsPart(),
            new TimelinePart(),
            new MarkersPart(),
            new SheetPart(),
            new MouthPart(),
            new ScriptPart());

    private Parts() {}

    public static Optional<Part> find(String id) {
        return ALL.stream().filter(part -> part.id().equals(id)).findFirst();
    }
}
