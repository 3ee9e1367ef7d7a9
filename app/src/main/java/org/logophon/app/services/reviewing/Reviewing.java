package org.logophon.app.services.reviewing;

import java.util.UUID;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.people.Visit;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.review.ApprovalRepository;
import org.logophon.app.services.project.review.Author;
import org.logophon.app.services.project.review.Happening;
import org.logophon.app.services.project.review.HappeningRepository;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.core.review.ApprovalState;
import org.logophon.core.review.NotePlace;
import org.logophon.core.text.script.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Approves cues as they were heard, and notes what is off. */
@Service
public class Reviewing {

    private final Projects projects;
    private final ProjectRepository table;
    private final TakeKeeping takes;
    private final ApprovalRepository approvals;
    private final NoteRepository notes;
    private final HappeningRepository happened;
    private final Visits visits;

    Reviewing(
            Projects projects,
            ProjectRepository table,
            TakeKeeping takes,
            ApprovalRepository approvals,
            NoteRepository notes,
            HappeningRepository happened,
            Visits visits) {
        this.projects = projects;
        this.table = table;
        this.takes = takes;
        this.approvals = approvals;
        this.notes = notes;
        this.happened = happened;
        this.visits = visits;
    }

    /**
     * @param sound address of what was heard
     * @return the cue's number
     * @throws Stale   when it would sound otherwise by now
     * @throws Refused when there is nothing to approve
     */
    @Transactional
    public String approve(UUID project, UUID cueId, String sound) {
        table.hold(project);
        Project owner = projects.require(project);
        CueView cue = projects.cue(project, cueId);
        if (cue.keptTake() == null) {
            throw new Refused("Cue " + cue.number() + " has no take yet. Render it and listen, then approve it.");
        }
        if (cue.state() == CueState.RENDERING) {
            throw new Refused("Cue " + cue.number() + " is being rendered. Approve it afterwards.");
        }
        if (cue.state() != CueState.READY) {
            throw new Refused("Cue " + cue.number()
                    + " has changed since its take was made. Render it, or keep this take, and approve it then.");
        }
        if (!sound.equals(ProgrammeReader.address(owner, cue))) {
            throw new Stale("Cue " + cue.number() + " has changed since you heard it. Listen again.");
        }
        approve(project, cueId, cue.heard(owner), here());
        return cue.number();
    }

    /** Approves the state in which somebody has heard a cue, whatever it is now. */
    @Transactional
    public void approve(UUID project, UUID cueId, ApprovalState heard, Author by) {
        table.hold(project);
        approvals.approve(cueId, heard, by);
        happened.add(project, cueId, Happening.APPROVED, null, by.name().isEmpty() ? null : by.name());
    }

    /** Takes back what was approved by a link, and nothing else. */
    @Transactional
    public void withdraw(UUID project, UUID cueId, Author by) {
        table.hold(project);
        if (approvals.withdraw(cueId, by.share())) {
            happened.add(project, cueId, Happening.WITHDRAWN, null, by.name());
        }
    }

    /** @return the cue's number */
    @Transactional
    public String withdraw(UUID project, UUID cueId) {
        table.hold(project);
        CueView cue = projects.cue(project, cueId);
        if (approvals.withdraw(cueId)) {
            happened.add(project, cueId, Happening.WITHDRAWN, null, null);
        }
        return cue.number();
    }

    /**
     * Notes something at a word.
     *
     * @param takeId that was heard; null when nothing was
     * @param at     UTF-16 index in the cue's text, inside the word or before it
     */
    @Transactional
    public UUID note(UUID project, UUID cueId, UUID takeId, int at, String remark) {
        return note(project, cueId, takeId, projects.cue(project, cueId).cue().text(), at, remark, here());
    }

    /** @param text that it is written on, which may be an earlier one */
    @Transactional
    public UUID note(UUID project, UUID cueId, UUID takeId, String text, int at, String remark, Author by) {
        table.hold(project);
        NotePlace place = Words.of(text).stream()
                .filter(word -> word.end() > at)
                .findFirst()
                .map(word -> new NotePlace(text, word.start(), word.end()))
                .orElseThrow(() -> new Refused("That word isn't in the cue any more. Choose it again."));
        if (takeId != null && !takes.require(project, takeId).cueId().equals(cueId)) {
            throw new Refused("That take is another cue's. Reload the page.");
        }
        UUID note = notes.add(cueId, takeId, place, checked(remark), by);
        happened.add(project, cueId, Happening.NOTED, null, by.told(told(place, remark)));
        return note;
    }

    /** @throws Stale when somebody else changed it meanwhile */
    @Transactional
    public void rewrite(UUID project, UUID noteId, String remark, int version) {
        table.hold(project);
        require(noteId);
        own(noteId);
        if (!notes.rewrite(noteId, checked(remark), version)) {
            throw new Stale("This note was changed in another window meanwhile. Nothing was overwritten.");
        }
    }

    /** Done in the take that is kept now, or open again. */
    @Transactional
    public void done(UUID project, UUID noteId, boolean done) {
        table.hold(project);
        Note note = require(noteId);
        UUID kept = null;
        if (done) {
            kept = projects.view(project).cue(note.cue()).map(CueView::keptTake).orElse(null);
        }
        if (notes.done(noteId, done, kept)) {
            happened.add(
                    project,
                    note.cue(),
                    done ? Happening.NOTE_DONE : Happening.NOTE_REOPENED,
                    null,
                    told(note.place(), note.remark()));
        }
    }

    @Transactional
    public void setDeleted(UUID project, UUID noteId, boolean deleted) {
        table.hold(project);
        own(noteId);
        Note note = notes.find(noteId).orElse(null);
        if (notes.setDeleted(noteId, deleted) && note != null) {
            happened.add(project, note.cue(), Happening.NOTE_DELETED, told(note.place(), note.remark()), null);
        }
    }

    /** Who may only listen changes what they wrote themselves. */
    private void own(UUID note) {
        if (!visits.now().map(Visit::edits).orElse(true) && !notes.writtenBy(note, here())) {
            throw new Forbidden("This note is someone else's. Write your own beside it.");
        }
    }

    private Author here() {
        return new Author(visits.name(), null);
    }

    private Note require(UUID note) {
        return notes.find(note)
                .orElseThrow(() -> new NotFound("This note was deleted in another window. Reload the page."));
    }

    private static String told(NotePlace place, String remark) {
        return "“" + place.word() + "”: " + remark.strip();
    }

    private static String checked(String remark) {
        String written = StorableText.of(remark).strip();
        if (written.isEmpty()) {
            throw new Refused("A note needs text. Type it, or cancel.");
        }
        if (written.length() > Note.LONGEST) {
            throw new Refused(
                    "A note has %,d characters at most, and this has %,d.".formatted(Note.LONGEST, written.length()));
        }
        return written;
    }
}
