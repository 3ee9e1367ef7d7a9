package org.logophon.app.steps.share;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.page.Ago;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A project's links, for who makes them. */
@RestController
@RequestMapping("/projects/{id}/shares")
class ShareController {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK).withZone(ZoneId.systemDefault());

    private final ShareLinks links;
    private final ReadyDeliveries deliveries;
    private final Clock clock;

    ShareController(ShareLinks links, ReadyDeliveries deliveries, Clock clock) {
        this.links = links;
        this.deliveries = deliveries;
        this.clock = clock;
    }

    /** @param what it leads to, for people @param state open, ended or taken back */
    record LinkLine(UUID id, String name, String what, String terms, String made, String state, boolean open) {}

    /** @param address path of the link: it is told this once */
    record CreatedLink(String address, String sentence) {}

    @GetMapping
    List<LinkLine> all(@PathVariable UUID id) {
        Map<UUID, String> names = new HashMap<>();
        return links.of(id).stream()
                .map(share -> line(
                        share,
                        share.delivery() == null
                                ? "the programme as it is"
                                : names.computeIfAbsent(share.delivery(), this::named)
                                        + (share.follows() ? ", and newer ones" : "")))
                .toList();
    }

    private String named(UUID delivery) {
        return deliveries
                .find(delivery)
                .map(found -> "delivery " + found.ordinal())
                .orElse("a deleted delivery");
    }

    private LinkLine line(Share share, String what) {
        StringBuilder terms = new StringBuilder();
        terms.append(share.phrase() == null ? "no pass phrase" : "with a pass phrase");
        terms.append(share.download() ? ", download allowed" : "");
        if (share.until() != null) {
            terms.append(", until ").append(DAY.format(share.until().minusMillis(1)));
        }
        boolean open = share.open(clock.instant());
        return new LinkLine(
                share.id(),
                share.name(),
                what,
                terms.toString(),
                Ago.of(share.createdAt(), clock.instant()),
                open ? "open" : share.takenBackAt() != null ? "taken back" : "ended",
                open);
    }

    @DoneOnce
    @PostMapping
    CreatedLink make(
            @PathVariable UUID id,
            @RequestParam(required = false) UUID delivery,
            @RequestParam(defaultValue = "false") boolean follows,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String phrase,
            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate until,
            @RequestParam(defaultValue = "false") boolean download) {
        String token = links.make(id, new ShareLinks.LinkOptions(delivery, follows, name, phrase, until, download));
        return new CreatedLink("/s/" + token, "Link created. Copy it now: it can't be shown again.");
    }

    @PostMapping("/{share}/take-back")
    SentenceAnswer takeBack(@PathVariable UUID id, @PathVariable UUID share) {
        links.takeBack(share);
        return new SentenceAnswer("Link revoked.");
    }
}
