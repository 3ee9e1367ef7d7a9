package org.logophon.app.steps.write.readings;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.PlaceReading;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.ReadingRepository.StoredReading;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.reading.ReadingsCsv;
import org.logophon.core.text.reading.ReadingsFile;
import org.logophon.core.text.reading.ReadingsPls;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The lists of readings of a project and of the house. */
@Controller
@RequestMapping("/projects/{id}/readings")
class ReadingsController {

    private static final int MOST_NUMBERS = 6;
    private static final int MOST_IMPORTED = 20_000;

    private final Projects projects;
    private final ReadingRepository readings;

    ReadingsController(Projects projects, ReadingRepository readings) {
        this.projects = projects;
        this.readings = readings;
    }

    /** A reading with the cues that use it. @param overridden true when the project's own list says otherwise */
    record ReadingRow(UUID id, Reading reading, String says, String used, boolean overridden) {}

    /** A reading of one place. */
    record PlaceRow(PlaceReading place, String number) {}

    @GetMapping
    String list(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        List<StoredReading> kept = readings.kept(id);
        model.addAttribute("project", view.project());
        model.addAttribute(
                "own",
                kept.stream()
                        .filter(k -> !k.house())
                        .map(k -> row(k, view, false))
                        .toList());
        model.addAttribute(
                "house",
                kept.stream()
                        .filter(StoredReading::house)
                        .map(k -> row(k, view, overridden(k, kept)))
                        .toList());
        List<PlaceRow> places = new ArrayList<>();
        for (PlaceReading place : readings.places(id)) {
            view.cue(place.cue())
                    .filter(cue -> place.stands(cue.cue().text()))
                    .ifPresent(cue -> places.add(new PlaceRow(place, cue.number())));
        }
        model.addAttribute("places", places);
        model.addAttribute("ways", PronunciationKind.values());
        return "rail :: readings";
    }

    private static boolean overridden(StoredReading house, List<StoredReading> all) {
        return all.stream()
                .anyMatch(k -> !k.house()
                        && k.reading()
                                .written()
                                .equalsIgnoreCase(house.reading().written())
                        && !k.reading().equals(house.reading()));
    }

    private static ReadingRow row(StoredReading kept, ProjectView view, boolean overridden) {
        ReadingList one = new ReadingList(List.of(List.of(kept.reading())));
        List<String> numbers = new ArrayList<>();
        for (CueView cue : view.cues()) {
            String language = cue.voice() == null
                    ? view.project().language()
                    : cue.voice().language();
            if (!one.find(cue.cue().text(), language).isEmpty()) {
                numbers.add(cue.number());
            }
        }
        String used = numbers.isEmpty()
                ? "not used"
                : "in " + String.join(", ", numbers.subList(0, Math.min(MOST_NUMBERS, numbers.size())))
                        + (numbers.size() > MOST_NUMBERS ? " and " + (numbers.size() - MOST_NUMBERS) + " more" : "");
        String says = kept.reading().kind() == PronunciationKind.IPA
                ? "/" + kept.reading().said() + "/"
                : kept.reading().spoken(view.project().language());
        return new ReadingRow(kept.id(), kept.reading(), says, used, overridden);
    }

    @PostMapping
    String add(
            @PathVariable UUID id,
            @RequestParam String written,
            @RequestParam(defaultValue = "") String said,
            @RequestParam(defaultValue = "words") String as,
            @RequestParam(defaultValue = "") String language,
            @RequestParam(defaultValue = "false") boolean matchCase,
            @RequestParam(defaultValue = "false") boolean house,
            Model model) {
        projects.require(id);
        put(id, house, new Reading(written, said, PronunciationKind.of(as), checked(language), matchCase));
        return list(id, model);
    }

    private void put(UUID project, boolean house, Reading reading) {
        if (house) {
            readings.putForHouse(project, reading);
        } else {
            readings.put(project, reading);
        }
    }

    private static String checked(String language) {
        if (!language.isBlank() && !language.strip().matches("[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}")) {
            throw new InvalidInput("\"" + language + "\" is no language tag. Write en, en-GB, de…, or leave it empty.");
        }
        return language;
    }

    @PostMapping("/{reading}/remove")
    String remove(@PathVariable UUID id, @PathVariable UUID reading, Model model) {
        readings.remove(reading);
        return list(id, model);
    }

    @PostMapping("/places/{cue}/{start}/remove")
    String removePlace(@PathVariable UUID id, @PathVariable UUID cue, @PathVariable int start, Model model) {
        projects.cue(id, cue);
        readings.removePlace(cue, start);
        return list(id, model);
    }

    /** @param conflicts take or keep; empty to be asked when a reading differs from one that is here */
    @PostMapping("/import")
    String take(
            @PathVariable UUID id,
            @RequestParam MultipartFile file,
            @RequestParam(defaultValue = "false") boolean house,
            @RequestParam(defaultValue = "") String conflicts,
            Model model)
            throws IOException {
        projects.require(id);
        ReadingsFile read = ReadingsFile.read(new String(file.getBytes(), StandardCharsets.UTF_8));
        if (read.readings().size() > MOST_IMPORTED) {
            throw new InvalidInput("This file holds over 20,000 readings, which no script needs. Split it.");
        }
        List<Reading> here = readings.kept(id).stream()
                .filter(k -> k.house() == house)
                .map(StoredReading::reading)
                .toList();
        List<Reading> differing = read.readings().stream()
                .filter(r -> here.stream().anyMatch(h -> sameForm(h, r) && !h.equals(r)))
                .toList();
        if (!differing.isEmpty() && conflicts.isEmpty()) {
            model.addAttribute(
                    "differing",
                    differing.stream()
                            .limit(20)
                            .map(r -> r.written() + ": " + r.spoken("en-GB") + ", here "
                                    + here.stream()
                                            .filter(h -> sameForm(h, r))
                                            .findFirst()
                                            .map(h -> h.spoken("en-GB"))
                                            .orElse(""))
                            .toList());
            model.addAttribute(
                    "notice",
                    differing.size() == 1
                            ? "1 reading differs from yours. Nothing was imported yet."
                            : differing.size() + " readings differ from yours. Nothing was imported yet.");
            return list(id, model);
        }
        List<Reading> taken = read.readings().stream()
                .filter(r -> "take".equals(conflicts) || !differing.contains(r))
                .toList();
        taken.forEach(r -> put(id, house, r));
        model.addAttribute(
                "notice",
                (taken.size() == 1 ? "1 reading imported." : taken.size() + " readings imported.")
                        + (taken.size() < read.readings().size()
                                ? " " + (read.readings().size() - taken.size()) + " kept as they were."
                                : ""));
        model.addAttribute("skipped", read.skipped());
        return list(id, model);
    }

    private static boolean sameForm(Reading a, Reading b) {
        return a.written().equals(b.written())
                && java.util.Objects.equals(a.language(), b.language())
                && a.matchCase() == b.matchCase();
    }

    @GetMapping("/export")
    ResponseEntity<byte[]> export(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "csv") String format,
            @RequestParam(defaultValue = "false") boolean house) {
        Project project = projects.require(id);
        List<Reading> list = readings.kept(id).stream()
                .filter(k -> k.house() == house)
                .map(StoredReading::reading)
                .toList();
        boolean pls = "pls".equals(format);
        String text = pls ? ReadingsPls.write(list, project.language()) : ReadingsCsv.write(list);
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(
                MediaType.parseMediaType(pls ? "application/pls+xml;charset=UTF-8" : "text/csv;charset=UTF-8"));
        headers.setContentDisposition(ContentDisposition.attachment()
                .filename((house ? "house-readings." : "readings.") + (pls ? "pls" : "csv"))
                .build());
        return new ResponseEntity<>(text.getBytes(StandardCharsets.UTF_8), headers, 200);
    }
}
