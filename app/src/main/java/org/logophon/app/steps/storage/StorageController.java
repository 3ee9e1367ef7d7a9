package org.logophon.app.steps.storage;

import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.upkeep.Upkeep.Held;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.page.FileSize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** What uses how much space, what goes when, and doing it now. */
@Controller
class StorageController {

    private final UpkeepRun upkeep;
    private final UpkeepReportRepository reports;
    private final Clock clock;

    StorageController(UpkeepRun upkeep, UpkeepReportRepository reports, Clock clock) {
        this.upkeep = upkeep;
        this.reports = reports;
        this.clock = clock;
    }

    /** @param share of all that is listed, in per cent */
    record SpaceLine(String what, String rule, long things, String size, long share) {}

    /** What the upkeep took away. */
    record RemovedLine(String what, long things, String size) {}

    @GetMapping("/storage")
    String page(Model model) {
        fill(model);
        return "storage";
    }

    /** What changes when the upkeep has run. */
    @GetMapping("/storage/now")
    String now(Model model) {
        fill(model);
        return "storage :: now";
    }

    @NeedsNoRoom
    @PostMapping("/storage/upkeep")
    String run(Model model) {
        upkeep.soon();
        fill(model);
        return "storage :: now";
    }

    private void fill(Model model) {
        List<Held> held = upkeep.held();
        long all = Math.max(1, held.stream().mapToLong(Held::bytes).sum());
        model.addAttribute(
                "lines",
                held.stream()
                        .sorted(Comparator.comparingLong(Held::bytes).reversed())
                        .map(line -> new SpaceLine(
                                line.what(),
                                line.rule(),
                                line.things(),
                                FileSize.of(line.bytes()),
                                100 * line.bytes() / all))
                        .toList());
        model.addAttribute("database", FileSize.of(reports.databaseBytes()));
        UpkeepReport latest = reports.latest().orElse(null);
        model.addAttribute("ran", latest == null ? null : Ago.of(latest.at(), clock.instant()));
        model.addAttribute("freed", latest == null ? null : FileSize.of(latest.bytes()));
        model.addAttribute(
                "removed",
                latest == null
                        ? List.of()
                        : latest.removed().stream()
                                .map(some -> new RemovedLine(some.what(), some.things(), FileSize.of(some.bytes())))
                                .toList());
        // last of all: what was counted takes a while, in which it may have ended
        model.addAttribute("running", upkeep.underWay());
    }
}
