package org.logophon.app.steps.place;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.PictureSlotRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.core.review.NotePlace;
import org.logophon.core.time.place.PlaceCheck;
import org.logophon.core.time.place.PlaceCheck.PlacedCue;
import org.logophon.core.time.place.PlaceFinding;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.Timecode;
import org.springframework.stereotype.Component;

/** Every cue in time, against the picture, as the page shows it. */
@Component
class PlaceTable {

    private static final int SHOWN_CHARACTERS = 60;

    private final Projects projects;
    private final PictureSlotRepository empty;
    private final NoteRepository notes;

    PlaceTable(Projects projects, PictureSlotRepository empty, NoteRepository notes) {
        this.projects = projects;
        this.empty = empty;
        this.notes = notes;
    }

    /**
     * A cue in time. In its answer all stands side by side.
     *
     * @param measured whether it has a take of its words, so that its length is known
     * @param score    address of its take's waveform; null while nothing of these words is rendered
     * @param found    what doesn't fit
     */
    record Row(
            @JsonUnwrapped ShownCue cue,
            boolean measured,
            @JsonUnwrapped ShownPlace place,
            @JsonUnwrapped ShownSlot slot,
            String score,
            List<Found> found) {}

    /** @param letters of its whole text, in UTF-16 units @param words the first of them */
    record ShownCue(UUID id, String number, String scene, String role, int colour, String words, int letters) {}

    /** @param in timecode @param runs frames of the clip, counted up */
    record ShownPlace(
            String kind, String anchor, String in, String out, String runs, double startSeconds, double seconds) {}

    /**
     * The slot that a cue sits in; nothing in it without one.
     *
     * @param spare frames of it that are left; negative when the clip runs past it
     */
    record ShownSlot(String slotIn, String slotOut, Long spare, Double slotSeconds) {

        static final ShownSlot NONE = new ShownSlot("", "", null, null);
    }

    /** Something that doesn't fit. @param frames how much it is */
    record Found(String kind, long frames, String sentence) {}

    /** A slot of the picture without a cue. */
    record Left(UUID id, String name, String in, String out, double startSeconds, double seconds) {}

    /** An open note. @param place of its word in the cue's text */
    record Noted(UUID cue, int place, String word, String remark) {}

    /**
     * @param left      slots without a cue
     * @param notes     open ones
     * @param sentences about the programme as a whole
     */
    record Table(
            String rate,
            String start,
            int leastGapMillis,
            double seconds,
            List<Row> rows,
            List<Left> left,
            List<Noted> notes,
            List<String> sentences,
            int findings) {}

    Table of(UUID project) {
        ProjectView view = projects.view(project);
        Picture picture = view.project().picture();
        Programme<CueView> programme = view.programme();
        List<PlaceFinding> findings = findings(view, programme);
        Map<Integer, List<PlaceFinding>> byCue = new HashMap<>();
        findings.forEach(finding ->
                byCue.computeIfAbsent(finding.index(), at -> new ArrayList<>()).add(finding));
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < programme.clips().size(); i++) {
            rows.add(row(project, picture, programme.clips().get(i), byCue.getOrDefault(i, List.of())));
        }
        return new Table(
                picture.rate() == null ? "" : picture.rate().id(),
                picture.timecode(SampleCount.ZERO),
                picture.leastGapMillis(),
                programme.length().seconds(),
                rows,
                left(project, picture),
                noted(view),
                byCue.getOrDefault(-1, List.of()).stream()
                        .map(PlaceFinding::sentence)
                        .toList(),
                findings.size());
    }

    private List<Left> left(UUID project, Picture picture) {
        return empty.of(project).stream()
                .map(slot -> {
                    SampleCount in = picture.frameAt(slot.slot().inMillis());
                    SampleCount out = picture.frameAt(slot.slot().outMillis());
                    return new Left(
                            slot.id(),
                            (slot.number() + " " + slot.name()).strip(),
                            picture.timecode(in),
                            picture.timecode(out),
                            in.seconds(),
                            out.minus(in).seconds());
                })
                .toList();
    }

    private List<Noted> noted(ProjectView view) {
        List<Noted> noted = new ArrayList<>();
        for (Note note : notes.of(view.id())) {
            view.cue(note.cue()).filter(cue -> note.open()).ifPresent(cue -> {
                int place =
                        note.place().in(cue.cue().text()).map(NotePlace::start).orElse(0);
                noted.add(new Noted(cue.id(), place, note.place().word(), note.remark()));
            });
        }
        return noted;
    }

    /** What doesn't fit; without a picture and slots nothing has to. */
    List<PlaceFinding> findings(ProjectView view, Programme<CueView> programme) {
        Picture picture = view.project().picture();
        Integer target = view.project().targetSeconds();
        List<SampleCount[]> left = empty.of(view.id()).stream()
                .map(slot -> new SampleCount[] {
                    picture.frameAt(slot.slot().inMillis()),
                    picture.frameAt(slot.slot().outMillis())
                })
                .toList();
        return PlaceCheck.of(
                programme.with(cue -> new PlacedCue(
                        cue.number(),
                        cue.cue().place().placement(cue.cue().slot(), picture),
                        cue.cue().place().kind() != null)),
                new PlaceCheck.Picture(
                        picture.counting(),
                        SampleCount.ofMillis(picture.leastGapMillis()),
                        target == null ? null : SampleCount.ofMillis(target * 1_000L),
                        left));
    }

    private static Row row(UUID project, Picture picture, PlacedClip<CueView> clip, List<PlaceFinding> findings) {
        CueView cue = clip.cue();
        var placement = cue.cue().place().placement(cue.cue().slot(), picture);
        InSlot slot = placement instanceof InSlot in ? in : null;
        var rate = picture.counting();
        long last = rate.frameAt(rate.rounded(clip.end().samples(), SampleCount.RATE), SampleCount.RATE);
        long first = rate.frameAt(clip.start().samples(), SampleCount.RATE);
        String text = cue.cue().text();
        return new Row(
                new ShownCue(
                        cue.id(),
                        cue.number(),
                        cue.cue().scene(),
                        cue.cue().role(),
                        cue.role() == null ? 0 : cue.role().colour(),
                        text.substring(0, Math.min(text.length(), SHOWN_CHARACTERS)),
                        text.length()),
                cue.measured(),
                new ShownPlace(
                        slot == null ? placement.getClass().getSimpleName().toLowerCase(Locale.ROOT) : "slot",
                        slot == null ? "start" : slot.anchor().name().toLowerCase(Locale.ROOT),
                        picture.timecode(clip.start()),
                        picture.timecode(new SampleCount(rate.firstSample(last, SampleCount.RATE))),
                        Timecode.written(last - first, rate),
                        clip.start().seconds(),
                        clip.length().seconds()),
                slot == null
                        ? ShownSlot.NONE
                        : new ShownSlot(
                                picture.timecode(slot.in()),
                                picture.timecode(slot.out()),
                                rate.frameAt(slot.out().samples(), SampleCount.RATE) - last,
                                slot.length().seconds()),
                cue.measured() && cue.keptTake() != null
                        ? "/projects/" + project + "/takes/" + cue.keptTake() + "/score"
                        : null,
                findings.stream()
                        .map(finding -> new Found(finding.kind().id(), finding.frames(), finding.sentence()))
                        .toList());
    }
}
