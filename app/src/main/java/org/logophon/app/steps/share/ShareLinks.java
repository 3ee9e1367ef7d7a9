package org.logophon.app.steps.share;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Gone;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.LinkToken;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.Projects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes links, takes them back, and finds what one leads to. */
@Service
class ShareLinks {

    private static final int MOST_OPEN = 200;
    private static final LocalDate LAST_DAY = LocalDate.of(2099, 12, 31);

    private final ShareRepository table;
    private final Projects projects;
    private final ReadyDeliveries deliveries;
    private final PassPhrases phrases;
    private final Clock clock;

    ShareLinks(ShareRepository table, Projects projects, ReadyDeliveries deliveries, PassPhrases phrases, Clock clock) {
        this.table = table;
        this.projects = projects;
        this.deliveries = deliveries;
        this.phrases = phrases;
        this.clock = clock;
    }

    /**
     * What is asked of a link.
     *
     * @param delivery null for the programme as it is
     * @param name     for whom
     * @param phrase   empty for none
     * @param until    the last day; null for no end
     */
    record LinkOptions(UUID delivery, boolean follows, String name, String phrase, LocalDate until, boolean download) {}

    /** @return what stands in its address: it is known now and never again */
    @Transactional
    public String make(UUID project, LinkOptions asked) {
        projects.require(project);
        Instant now = clock.instant();
        if (asked.delivery() != null) {
            deliveries
                    .find(asked.delivery())
                    .filter(found -> found.projectId().equals(project))
                    .orElseThrow(() -> new NotFound("This delivery doesn't exist. Deliver lists those that do."));
            if (deliveries.cues(asked.delivery()).isEmpty()) {
                throw new Refused(
                        "This delivery was built before deliveries could be shared. Build it again, and share that.");
            }
        }
        if (asked.until() != null && asked.until().isAfter(LAST_DAY)) {
            throw new Refused("A link expires within this century. Leave the date empty for a link that stays open.");
        }
        Instant until = asked.until() == null
                ? null
                : asked.until().plusDays(1).atStartOfDay(ZoneId.systemDefault()).toInstant();
        if (until != null && !now.isBefore(until)) {
            throw new Refused("A link expires today or later.");
        }
        String name = StorableText.of(asked.name()).strip();
        if (name.length() > FieldLimits.LINK_NAME) {
            throw new Refused("The recipient has " + FieldLimits.LINK_NAME + " characters at most.");
        }
        if (table.of(project).stream().filter(share -> share.open(now)).count() >= MOST_OPEN) {
            throw new Refused(MOST_OPEN + " links are open in this project. Revoke those that nobody needs.");
        }
        String token = LinkToken.make();
        table.add(
                new Share(
                        UUID.randomUUID(),
                        project,
                        asked.delivery(),
                        asked.delivery() != null && asked.follows(),
                        name,
                        asked.phrase().isEmpty() ? null : phrases.kept(asked.phrase()),
                        until,
                        asked.download(),
                        now,
                        null,
                        0,
                        null),
                LinkToken.digest(token));
        return token;
    }

    List<Share> of(UUID project) {
        return table.of(project);
    }

    void takeBack(UUID share) {
        table.takeBack(share, clock.instant());
    }

    /**
     * @throws NotFound where there never was one
     * @throws Gone     when it has ended or was taken back
     */
    Share open(String token) {
        Share share = table.withToken(LinkToken.digest(token))
                .orElseThrow(() -> new NotFound("There is nothing at this link. Check that all of it is there."));
        Instant now = clock.instant();
        if (share.takenBackAt() != null) {
            throw new Gone("This link was revoked. Ask whoever sent it for a new one.");
        }
        if (share.ended(now)) {
            throw new Gone("This link has expired. Ask whoever sent it for a new one.");
        }
        try {
            projects.require(share.project());
        } catch (NotFound deleted) {
            throw new Gone("What this link led to no longer exists. Ask whoever sent it.");
        }
        return share;
    }
}
