package org.logophon.app.steps.share;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.people.PersonName;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.project.review.ApprovalRepository;
import org.logophon.app.services.project.review.Author;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.reviewing.Reviewing;
import org.logophon.app.services.reviewing.VisitorSaid;
import org.logophon.app.steps.share.SharedProgramme.SharedCue;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Notes and approvals that come by a link: written like those of the house, with the name of who came. */
@Service
class SharedReviewing {

    /** More than anybody says of a programme: who fills a project with notes is stopped here. */
    private static final int MOST_NOTES = 2_000;

    private final Reviewing reviewing;
    private final NoteRepository notes;
    private final ApprovalRepository approvals;
    private final ApplicationEventPublisher events;

    SharedReviewing(
            Reviewing reviewing, NoteRepository notes, ApprovalRepository approvals, ApplicationEventPublisher events) {
        this.reviewing = reviewing;
        this.notes = notes;
        this.approvals = approvals;
        this.events = events;
    }

    /** @param take that was heard @param at index in its text */
    void note(Share share, SharedProgramme programme, UUID cue, UUID take, int at, String remark, String name) {
        SharedCue heard = heard(programme, cue, take);
        if (notes.ofShare(share.id()).size() >= MOST_NOTES) {
            throw new Refused("This link holds no more notes. Ask whoever sent it for a new one.");
        }
        reviewing.note(
                share.project(), cue, heard.take().id(), heard.text(), at, remark, new Author(named(name), share.id()));
        said(share, cue, name, "notes at cue " + heard.number() + ": " + remark.strip());
    }

    void approve(Share share, SharedProgramme programme, UUID cue, UUID take, String name) {
        SharedCue heard = heard(programme, cue, take);
        if (heard.heard() == null) {
            throw new Refused("Cue " + heard.number() + " is being changed. Approve it when that is done.");
        }
        if (approved(share, programme).containsKey(cue)) {
            // pressed twice
            return;
        }
        reviewing.approve(share.project(), cue, heard.heard(), new Author(named(name), share.id()));
        said(share, cue, name, "approves cue " + heard.number() + ".");
    }

    private void said(Share share, UUID cue, String name, String what) {
        events.publishEvent(new VisitorSaid(share.project(), cue, named(name) + " " + what));
    }

    /** @param take none, or the takes as they were heard, in their order @return how many */
    @Transactional
    public int approveAll(Share share, SharedProgramme programme, List<UUID> take, String name) {
        List<UUID> now = programme.cues().stream().map(cue -> cue.take().id()).toList();
        if (!now.equals(take)) {
            throw new Stale("Something has changed since you opened this page. Listen again, then approve.");
        }
        Author by = new Author(named(name), share.id());
        int approved = 0;
        for (SharedCue cue : programme.cues()) {
            if (cue.heard() != null) {
                reviewing.approve(share.project(), cue.id(), cue.heard(), by);
                approved++;
            }
        }
        said(
                share,
                null,
                name,
                approved == programme.cues().size()
                        ? "approves all of it."
                        : "approves " + approved + " of " + programme.cues().size() + " cues.");
        return approved;
    }

    void withdraw(Share share, SharedProgramme programme, UUID cue, String name) {
        programme.cue(cue).orElseThrow(SharedReviewing::elsewhere);
        reviewing.withdraw(share.project(), cue, new Author(named(name), share.id()));
    }

    /** Names of who approved by this link, of the cues where it still holds. */
    Map<UUID, String> approved(Share share, SharedProgramme programme) {
        Map<UUID, String> names = new HashMap<>();
        approvals
                .ofShare(share.id())
                .forEach(approval -> programme
                        .cue(approval.cue())
                        .filter(cue -> approval.heard()
                                .changed(cue.heard() == null ? approval.heard() : cue.heard())
                                .isEmpty())
                        .ifPresent(cue -> names.put(cue.id(), approval.writer())));
        return names;
    }

    List<Note> notes(Share share) {
        return notes.ofShare(share.id());
    }

    private static SharedCue heard(SharedProgramme programme, UUID cue, UUID take) {
        SharedCue now = programme.cue(cue).orElseThrow(SharedReviewing::elsewhere);
        if (!now.take().id().equals(take)) {
            throw new Stale("Cue " + now.number() + " has changed since you heard it. Listen again.");
        }
        return now;
    }

    private static NotFound elsewhere() {
        return new NotFound("This cue isn't part of the link. Reload the page.");
    }

    private static String named(String name) {
        String written = StorableText.of(name).strip();
        if (written.isEmpty()) {
            throw new Refused("Type your name first. It goes with your notes.");
        }
        if (written.length() > PersonName.LONGEST) {
            throw new Refused("A name has " + PersonName.LONGEST + " characters at most.");
        }
        return written;
    }
}
