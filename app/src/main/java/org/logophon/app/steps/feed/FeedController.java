package org.logophon.app.steps.feed;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.page.Durations;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The feed, for the house: its page, and what is put into it from a delivery. */
@Controller
class FeedController {

    private final Feeds feeds;
    private final Visits visits;

    FeedController(Feeds feeds, Visits visits) {
        this.feeds = feeds;
        this.visits = visits;
    }

    /** @param runs for people */
    public record FeedLine(UUID delivery, UUID project, String title, int ordinal, String runs) {}

    /** @param address path of the feed: it is told this once */
    record CreatedFeed(String address, String sentence) {}

    /** @param in true when the delivery is in the feed @param open true when there is a feed to be in */
    record Holds(boolean in, boolean open) {}

    @GetMapping({"/feed", "/workspaces/{workspace}/feed"})
    String page(Model model) {
        list(model);
        model.addAttribute("feed", feeds.open(visits.workspace()).orElse(null));
        return "feed";
    }

    @GetMapping({"/feed/items", "/workspaces/{workspace}/feed/items"})
    String items(Model model) {
        list(model);
        return "feed :: items";
    }

    private void list(Model model) {
        List<FeedLine> lines = feeds.items(visits.workspace()).stream()
                .map(item -> new FeedLine(
                        item.delivery(), item.project(), item.title(), item.ordinal(), Durations.clock(item.seconds())))
                .toList();
        model.addAttribute("items", lines);
    }

    @DoneOnce
    @PostMapping({"/feed", "/workspaces/{workspace}/feed"})
    @ResponseBody
    CreatedFeed make(
            @RequestParam(defaultValue = "") String title, @RequestParam(defaultValue = "") String description) {
        return new CreatedFeed(
                "/f/" + feeds.make(visits.workspace(), title, description) + "/programmes.xml",
                "The feed is on. Copy its URL now: it can't be shown again.");
    }

    @PostMapping({"/feed/take-back", "/workspaces/{workspace}/feed/take-back"})
    @ResponseBody
    SentenceAnswer takeBack() {
        feeds.takeBack(visits.workspace());
        return new SentenceAnswer("Feed closed.");
    }

    @PostMapping({"/feed/items/{delivery}/remove", "/workspaces/{workspace}/feed/items/{delivery}/remove"})
    @ResponseBody
    SentenceAnswer remove(@PathVariable UUID delivery) {
        feeds.remove(visits.workspace(), delivery);
        return new SentenceAnswer("Removed from the feed.");
    }

    @GetMapping("/projects/{id}/deliveries/{delivery}/feed")
    @ResponseBody
    Holds holds(@PathVariable UUID id, @PathVariable UUID delivery) {
        feeds.require(id, delivery);
        return new Holds(
                feeds.holds(visits.workspace(), delivery),
                feeds.open(visits.workspace()).isPresent());
    }

    @PostMapping("/projects/{id}/deliveries/{delivery}/feed")
    @ResponseBody
    SentenceAnswer put(@PathVariable UUID id, @PathVariable UUID delivery, @RequestParam boolean in)
            throws IOException {
        if (in) {
            feeds.put(id, delivery);
            return new SentenceAnswer("Added to the feed.");
        }
        feeds.require(id, delivery);
        feeds.remove(visits.workspace(), delivery);
        return new SentenceAnswer("Removed from the feed.");
    }
}
