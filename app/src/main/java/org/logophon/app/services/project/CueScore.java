package org.logophon.app.services.project;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.ReadingList;

/** A cue with all that says how it is spoken, as SSML holds it. */
public final class CueScore {

    private CueScore() {}

    /** @param said readings of the project */
    public static SsmlCue of(ProjectView view, CueView cue, ProjectReadings said) {
        Direction direction = cue.direction().asOne();
        List<PlacedReading> placed = said
                .settled(
                        cue.id(),
                        cue.cue().text(),
                        cue.voice() == null
                                ? view.project().language()
                                : cue.voice().language())
                .stream()
                .filter(match -> cue.marks().written().stream().noneMatch(mark -> cuts(mark, match)))
                .map(match -> new PlacedReading(
                        match.start(),
                        new Reading(
                                cue.cue().text().substring(match.start(), match.end()),
                                match.reading().said(),
                                match.reading().kind(),
                                null,
                                true)))
                .toList();
        Map<String, String> cast = view.roles().stream()
                .filter(role -> role.voiceId() != null)
                .collect(Collectors.toMap(Role::name, Role::voiceId));
        return new SsmlCue(
                cue.cue().text(), cue.voice() == null ? "" : cue.voice().id(), direction, cue.marks(), placed, cast);
    }

    /** True when a mark ends or starts inside a reading, whose element holds nothing but its words. */
    private static boolean cuts(Mark mark, ReadingList.Match reading) {
        boolean startsInside = mark.start() > reading.start() && mark.start() < reading.end();
        boolean endsInside = mark.end() > reading.start() && mark.end() < reading.end();
        return !mark.instruction().onGap() && (startsInside || endsInside);
    }
}
