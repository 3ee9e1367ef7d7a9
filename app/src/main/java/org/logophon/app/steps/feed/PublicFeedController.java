package org.logophon.app.steps.feed;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.deliveries.DeliveredCue;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.deliveries.ReadyDeliveries.WholeFile;
import org.logophon.app.services.rendering.RangedAnswer;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import tools.jackson.databind.json.JsonMapper;

/** What subscribers ask for. Each request begins with the feed: taken back, it gives nothing. */
@RestController
@RequestMapping("/f/{token}")
class PublicFeedController {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** A programme that was taken out is out at once: nothing is kept on the way. */
    private static final CacheControl FRESH = CacheControl.noStore();

    private final Feeds feeds;
    private final ReadyDeliveries deliveries;

    PublicFeedController(Feeds feeds, ReadyDeliveries deliveries) {
        this.feeds = feeds;
        this.deliveries = deliveries;
    }

    @GetMapping("/programmes.xml")
    ResponseEntity<byte[]> rss(@PathVariable String token, HttpServletRequest request) {
        Feed feed = feeds.at(token);
        String base = ServletUriComponentsBuilder.fromContextPath(request)
                .path("/f/" + token)
                .build()
                .toUriString();
        List<FeedXml.Entry> entries = feeds.items(feed.workspace()).stream()
                .flatMap(item -> deliveries.whole(item.delivery()).stream()
                        .map(file -> new FeedXml.Entry(
                                item, file, !chapters(item).chapters().isEmpty())))
                .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/rss+xml;charset=UTF-8"))
                .cacheControl(FRESH)
                .body(FeedXml.of(feed, entries, base).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/cover.png")
    ResponseEntity<byte[]> cover(@PathVariable String token) {
        feeds.at(token);
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)))
                .body(FeedCover.png());
    }

    @GetMapping("/{delivery}/chapters.json")
    ResponseEntity<byte[]> chapters(@PathVariable String token, @PathVariable UUID delivery) {
        Feed feed = feeds.at(token);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/json+chapters"))
                .cacheControl(FRESH)
                .body(JSON.writeValueAsBytes(chapters(feeds.item(feed.workspace(), delivery))));
    }

    private FeedChapters chapters(FeedItem item) {
        List<DeliveredCue> cues = deliveries.cues(item.delivery());
        boolean titled = deliveries
                .find(item.delivery())
                .map(found -> found.choice() != null && found.choice().title())
                .orElse(false);
        double runs = cues.stream()
                .mapToDouble(cue -> cue.start().plus(cue.length()).seconds())
                .max()
                .orElse(0);
        return FeedChapters.of(cues, titled ? Math.max(0, item.seconds() - runs) : 0);
    }

    @GetMapping("/{delivery}.{kind}")
    void sound(
            @PathVariable String token,
            @PathVariable UUID delivery,
            @PathVariable String kind,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletResponse response)
            throws IOException {
        feeds.item(feeds.at(token).workspace(), delivery);
        WholeFile file = feeds.file(delivery);
        if (!file.kind().equals(kind)) {
            throw new NotFound("This programme isn't in the feed as a ." + kind + " file.");
        }
        RangedAnswer.write(
                FeedXml.TYPES.get(kind),
                file.bytes(),
                (from, to, out) -> deliveries.copyTo(file, from, to, out),
                range,
                FRESH,
                response);
    }
}
