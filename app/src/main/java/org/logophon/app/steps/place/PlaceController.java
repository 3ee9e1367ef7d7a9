package org.logophon.app.steps.place;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.project.CuePlace;
import org.logophon.app.services.project.CuePlace.Kind;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.PictureSlotRepository.EmptySlot;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.picture.PictureTimes;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.picture.SlotMatch;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.timecode.FrameRate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** The Place step. */
@Controller
@RequestMapping("/projects/{id}/place")
class PlaceController {

    private static final int MOST_MOVED = 20_000;

    private final Projects projects;
    private final ProjectPage page;
    private final PlaceTable table;
    private final PlaceService placing;
    private final FitService fitting;

    PlaceController(Projects projects, ProjectPage page, PlaceTable table, PlaceService placing, FitService fitting) {
        this.projects = projects;
        this.page = page;
        this.table = table;
        this.placing = placing;
        this.fitting = fitting;
    }

    @GetMapping
    String page(@PathVariable UUID id, Model model) {
        page.fill(model, projects.view(id), Step.PLACE);
        model.addAttribute("rates", FrameRate.ALL);
        return "place";
    }

    @GetMapping("/table")
    @ResponseBody
    PlaceTable.Table table(@PathVariable UUID id) {
        return table.of(id);
    }

    @PostMapping("/picture")
    @ResponseBody
    SentenceAnswer picture(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String rate,
            @RequestParam(defaultValue = "") String start,
            @RequestParam(defaultValue = "0") int leastGapMillis) {
        placing.setPicture(id, rate, start, leastGapMillis);
        return new SentenceAnswer(
                rate.isEmpty() ? "Clips stand on exact samples." : "Clips start on the picture's frames.");
    }

    @PostMapping("/cues/{cue}")
    @ResponseBody
    SentenceAnswer place(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam Kind kind,
            @RequestParam(defaultValue = "") String in,
            @RequestParam(defaultValue = "") String out,
            @RequestParam(required = false) Anchor anchor,
            @RequestParam(defaultValue = "") String offset) {
        placing.place(id, cue, new TypedPlace(kind, in, out, anchor, offset));
        return new SentenceAnswer("Placed. Ctrl Z undoes it.");
    }

    /** Which cues, and by how many frames. */
    record Nudge(List<UUID> cues, int frames) {
        Nudge {
            cues = List.copyOf(cues);
        }
    }

    @PostMapping("/nudge")
    @ResponseBody
    SentenceAnswer nudge(@PathVariable UUID id, @RequestBody Nudge nudge) {
        if (nudge.cues().isEmpty()
                || nudge.cues().size() > MOST_MOVED
                || Math.abs((long) nudge.frames()) > 10_000_000) {
            throw new Refused("Choose cues to move, and a step of some frames.");
        }
        placing.nudge(id, nudge.cues(), nudge.frames());
        return new SentenceAnswer("Moved. Ctrl Z undoes it.");
    }

    /** How many cues shall stand alike. */
    record Many(List<UUID> cues, Kind kind) {
        Many {
            cues = List.copyOf(cues);
        }
    }

    @PostMapping("/many")
    @ResponseBody
    SentenceAnswer many(@PathVariable UUID id, @RequestBody Many many) {
        if (many.kind() == null || many.cues().isEmpty() || many.cues().size() > MOST_MOVED) {
            throw new Refused("Choose cues and a position.");
        }
        int placed = placing.placeMany(id, many.cues(), many.kind());
        return new SentenceAnswer((placed == 1 ? "1 cue is placed." : placed + " cues are placed.")
                + (placed < many.cues().size()
                        ? " The others have no slot: type its in and out."
                        : " Ctrl Z undoes it."));
    }

    @PostMapping("/slots/{slot}/drop")
    @ResponseBody
    SentenceAnswer drop(@PathVariable UUID id, @PathVariable UUID slot) {
        placing.dropSlot(id, slot);
        return new SentenceAnswer("Slot removed. Ctrl Z restores it.");
    }

    @PostMapping("/undo")
    @ResponseBody
    SentenceAnswer undo(@PathVariable UUID id) {
        return new SentenceAnswer("Undone: " + placing.turn(id, true) + ".");
    }

    @PostMapping("/redo")
    @ResponseBody
    SentenceAnswer redo(@PathVariable UUID id) {
        return new SentenceAnswer("Redone: " + placing.turn(id, false) + ".");
    }

    /**
     * A slot of a file.
     *
     * @param cue that it is for; null for none.
     * @param was where that cue's slot was; null for none
     */
    record Matched(
            int inMillis,
            int outMillis,
            String in,
            String out,
            String number,
            String name,
            UUID cue,
            String cueNumber,
            String by,
            String was) {}

    /** @param guessed how columns were understood */
    record Read(String format, List<String> guessed, List<Matched> slots) {}

    /** Reads times of the picture, and shows what they would be for; nothing is changed. */
    @PostMapping("/times")
    @ResponseBody
    Read read(
            @PathVariable UUID id,
            @RequestParam(required = false) MultipartFile file,
            @RequestParam(defaultValue = "") String text)
            throws IOException {
        ProjectView view = projects.view(id);
        Picture picture = view.project().picture();
        String content = file == null ? text : new String(file.getBytes(), StandardCharsets.UTF_8);
        String name = file == null || file.getOriginalFilename() == null ? "times.txt" : file.getOriginalFilename();
        PictureTimes times = PictureTimes.read(name, content, picture.counting(), picture.startFrame());
        List<SlotMatch.Cue> cues = view.cues().stream()
                .map(cue -> new SlotMatch.Cue(cue.number(), cue.cue().text()))
                .toList();
        List<Matched> matched = new ArrayList<>();
        for (SlotMatch.Match match : SlotMatch.of(times.slots(), cues)) {
            matched.add(
                    matched(picture, match, match.cue() < 0 ? null : view.cues().get(match.cue())));
        }
        return new Read(times.format(), times.guessed(), matched);
    }

    private static Matched matched(Picture picture, SlotMatch.Match match, CueView cue) {
        PictureSlot slot = match.slot();
        Slot was = cue == null ? null : cue.cue().slot();
        return new Matched(
                (int) slot.in().millis(),
                (int) slot.out().millis(),
                picture.timecode(slot.in()),
                picture.timecode(slot.out()),
                slot.number(),
                slot.name(),
                cue == null ? null : cue.id(),
                cue == null ? null : cue.number(),
                match.by(),
                was == null
                                || was.inMillis() == slot.in().millis()
                                        && was.outMillis() == slot.out().millis()
                        ? null
                        : picture.timecode(picture.frameAt(was.inMillis())));
    }

    /** A slot that is taken. @param cue null for none */
    record Taken(int inMillis, int outMillis, String number, String name, UUID cue) {}

    /** All that are taken at once. */
    record TakenSlots(List<Taken> slots) {
        TakenSlots {
            slots = List.copyOf(slots);
        }
    }

    @PostMapping("/times/take")
    @ResponseBody
    SentenceAnswer take(@PathVariable UUID id, @RequestBody TakenSlots taken) {
        if (taken.slots().size() > MOST_MOVED) {
            throw new Refused("That is more than a project holds.");
        }
        List<StoredPlace> placed = new ArrayList<>();
        List<EmptySlot> left = new ArrayList<>();
        for (Taken slot : taken.slots()) {
            Slot times = new Slot(slot.inMillis(), slot.outMillis());
            if (slot.cue() == null) {
                left.add(new EmptySlot(UUID.randomUUID(), times, cut(slot.number()), cut(slot.name())));
            } else {
                placed.add(new StoredPlace(slot.cue(), CuePlace.UNSAID, times, null));
            }
        }
        int changed = placing.take(id, placed, left);
        return new SentenceAnswer((changed == 1 ? "1 slot has moved" : changed + " slots have moved")
                + (left.isEmpty() ? "." : ", " + left.size() + " without a cue."));
    }

    private static String cut(String text) {
        String said = text == null ? "" : text;
        return said.length() <= 200 ? said : said.substring(0, 200);
    }

    @GetMapping("/fit")
    @ResponseBody
    List<FitService.Preview> fit(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean borrow,
            @RequestParam(defaultValue = "false") boolean loosen) {
        return fitting.preview(id, new FitService.FitOptions(borrow, loosen));
    }

    /** @param only these; all that run over, or have room to fill, when left out */
    @PostMapping("/fit")
    @ResponseBody
    SentenceAnswer makeFit(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") List<UUID> only,
            @RequestParam(defaultValue = "false") boolean borrow,
            @RequestParam(defaultValue = "false") boolean loosen) {
        FitService.Applied applied = fitting.apply(id, only, new FitService.FitOptions(borrow, loosen));
        int count = applied.changed();
        return new SentenceAnswer((count == 1 ? "1 cue is" : count + " cues are")
                + (applied.priced() == 0
                        ? " directed to fit and rendered."
                        : " directed to fit; " + applied.priced()
                                + " by hired voices: render them at the top of the page, where the price is shown.")
                + " Ctrl Z on Direct undoes it.");
    }
}
