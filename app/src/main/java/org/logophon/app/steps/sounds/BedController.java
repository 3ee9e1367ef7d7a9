package org.logophon.app.steps.sounds;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.UUID;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.OwnSound;
import org.logophon.app.services.rendering.Layers;
import org.logophon.app.services.rendering.ProjectLayer;
import org.logophon.app.services.rendering.RangedAnswer;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page of sounds and beds. */
@Controller
@RequestMapping("/projects/{id}/beds")
class BedController {

    private final Projects projects;
    private final ProjectPage page;
    private final BedTable table;
    private final SoundLists lists;
    private final Beds beds;
    private final Layers layers;

    BedController(Projects projects, ProjectPage page, BedTable table, SoundLists lists, Beds beds, Layers layers) {
        this.projects = projects;
        this.page = page;
        this.table = table;
        this.lists = lists;
        this.beds = beds;
        this.layers = layers;
    }

    @GetMapping
    String page(@PathVariable UUID id, Model model) {
        page.fill(model, projects.view(id), Step.LISTEN);
        return "beds";
    }

    @GetMapping("/list")
    @ResponseBody
    BedTable.Table list(@PathVariable UUID id) {
        return table.of(id);
    }

    /** @param id of what there is now. @param name of it */
    record ChangedBed(UUID id, String name, String sentence) {}

    /** The file itself, as it comes. */
    @Costly
    @DoneOnce
    @PostMapping("/sounds")
    @ResponseBody
    ChangedBed add(
            @PathVariable UUID id,
            @RequestParam String name,
            @RequestParam(defaultValue = "false") boolean shared,
            InputStream sent)
            throws IOException {
        SoundLists.Added added = lists.add(id, name, shared, sent);
        OwnSound sound = added.sound();
        String listed = "“%s” is in the list, %.1f s. %s".formatted(sound.name(), sound.seconds(), added.remark());
        return new ChangedBed(sound.id(), sound.name(), listed.strip());
    }

    @PostMapping("/sounds/{sound}")
    @ResponseBody
    SentenceAnswer change(@PathVariable UUID id, @PathVariable UUID sound, @ModelAttribute SoundLists.Change change) {
        return new SentenceAnswer("“" + lists.change(id, sound, change).name() + "” changed everywhere it is used.");
    }

    @NeedsNoRoom
    @PostMapping("/sounds/{sound}/delete")
    @ResponseBody
    SentenceAnswer remove(@PathVariable UUID id, @PathVariable UUID sound) {
        return new SentenceAnswer("“" + lists.remove(id, sound).name() + "” removed from the list.");
    }

    @PostMapping("/sounds/{sound}/restore")
    @ResponseBody
    SentenceAnswer restore(@PathVariable UUID id, @PathVariable UUID sound) {
        return new SentenceAnswer("“" + lists.restore(id, sound).name() + "” restored.");
    }

    /** What is used of it, at its level. @param stamp another one whenever that is another */
    @GetMapping("/sounds/{sound}/{stamp}.wav")
    void heard(
            @PathVariable UUID id,
            @PathVariable UUID sound,
            @PathVariable String stamp,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletResponse response)
            throws IOException {
        RangedAnswer.write(
                ProjectLayer.wav(ProjectLayer.shown(layers.heard(lists.require(id, sound)))),
                range,
                CacheControl.maxAge(Duration.ofHours(1)).cachePrivate(),
                response);
    }

    @PostMapping
    @ResponseBody
    ChangedBed lay(@PathVariable UUID id, @ModelAttribute Beds.Change asked) {
        return new ChangedBed(beds.add(id, asked).id(), "", "Bed added.");
    }

    @PostMapping("/{bed}")
    @ResponseBody
    SentenceAnswer changeBed(@PathVariable UUID id, @PathVariable UUID bed, @ModelAttribute Beds.Change asked) {
        beds.change(id, bed, asked);
        return new SentenceAnswer("Bed changed.");
    }

    @NeedsNoRoom
    @PostMapping("/{bed}/delete")
    @ResponseBody
    SentenceAnswer removeBed(@PathVariable UUID id, @PathVariable UUID bed) {
        beds.remove(id, bed, true);
        return new SentenceAnswer("Bed removed.");
    }

    @PostMapping("/{bed}/restore")
    @ResponseBody
    SentenceAnswer restoreBed(@PathVariable UUID id, @PathVariable UUID bed) {
        beds.remove(id, bed, false);
        return new SentenceAnswer("Bed restored.");
    }
}
