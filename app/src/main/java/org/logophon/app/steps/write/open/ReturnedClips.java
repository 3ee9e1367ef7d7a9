package org.logophon.app.steps.write.open;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.script.DocumentImport;
import org.logophon.core.delivery.ClipNote;
import org.logophon.core.delivery.ClipOrigin;
import org.logophon.core.delivery.ClipReading;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.documents.ClipDocument;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;

/** Delivered clips that come back: their cues are found, or made again. */
@Service
class ReturnedClips {

    private static final String FOREIGN =
            "This isn't a clip that Logophon delivered, or another program has taken out what it carried. "
                    + "A recording of your own is imported on Record.";

    private final Projects projects;
    private final ProjectRepository table;
    private final TakeRepository takes;
    private final DocumentImport opening;
    private final Coder coder;

    ReturnedClips(
            Projects projects, ProjectRepository table, TakeRepository takes, DocumentImport opening, Coder coder) {
        this.projects = projects;
        this.table = table;
        this.takes = takes;
        this.opening = opening;
        this.coder = coder;
    }

    /**
     * What a file turns out to be.
     *
     * @param carries  true when it carries a cue
     * @param address  of its cue; null when that isn't here
     * @param sentence what it is, for people
     */
    record Returned(
            String file, boolean carries, String number, String role, String text, String address, String sentence) {}

    Returned look(MultipartFile sent) throws IOException {
        String name = OpenController.name(sent);
        Optional<ClipNote> read;
        try {
            read = note(sent);
        } catch (InvalidInput | CodingFailed unreadable) {
            return new Returned(name, false, "", "", "", null, unreadable.getMessage());
        }
        if (read.isEmpty()) {
            return new Returned(name, false, "", "", "", null, FOREIGN);
        }
        ClipNote note = read.get();
        Place place = place(note.origin());
        return new Returned(
                name, true, note.number(), note.role(), note.cue().text(), place.address(), place.sentence());
    }

    private record Place(String address, String sentence) {}

    private Place place(ClipOrigin origin) {
        if (origin == null) {
            return new Place(null, "It wasn't delivered from a project. Its cue can be restored.");
        }
        Project project = table.find(origin.project()).orElse(null);
        if (project == null) {
            return new Place(null, "Its project isn't here. Its cue can be restored.");
        }
        CueView cue;
        try {
            cue = projects.cue(project.id(), origin.cue());
        } catch (NotFound gone) {
            return new Place(null, "Its cue isn't in “" + project.name() + "” any more. It can be restored.");
        }
        Take take = takes.find(origin.take()).orElse(null);
        String of = "Cue " + cue.number() + " of “" + project.name() + "”, ";
        String told = take == null
                ? of + "whose take is gone."
                : take.deleted()
                        ? of + "take " + take.name() + ", which was deleted and can be restored there."
                        : take.id().equals(cue.keptTake())
                                ? of + "take " + take.name() + ", the kept one."
                                : of + "take " + take.name() + "; another take is kept now.";
        return new Place("/projects/" + project.id() + "/listen?cue=" + cue.id(), told);
    }

    private Optional<ClipNote> note(MultipartFile sent) throws IOException {
        Path file = Files.createTempFile("logophon-clip", ".part");
        try {
            sent.transferTo(file);
            return ClipReading.of(file, coder);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /**
     * Makes the cues of clips again, in the order of their numbers.
     *
     * @param asProject true for a project of their own
     * @return the address of the page that shows them
     * @throws Refused when none of the files carries a cue
     */
    String again(UUID id, List<MultipartFile> files, boolean asProject) throws IOException {
        Project project = projects.require(id);
        List<ClipNote> notes = new ArrayList<>();
        for (MultipartFile file : files) {
            try {
                note(file).ifPresent(notes::add);
            } catch (InvalidInput | CodingFailed unreadable) {
                throw new Refused(OpenController.name(file) + ": " + unreadable.getMessage());
            }
        }
        if (notes.isEmpty()) {
            throw new Refused("None of these files holds a cue. Choose clips that Logophon delivered.");
        }
        notes.sort(Comparator.comparing(ClipNote::number));
        String name = notes.size() == 1 ? "Clip " + notes.get(0).number() : notes.size() + " clips";
        var document = ClipDocument.of(name, notes);
        if (asProject) {
            return opening.asProjects(id, List.of(document));
        }
        opening.into(id, List.of(document), "add", project.scriptVersion());
        return "/projects/" + id + "/write";
    }
}
