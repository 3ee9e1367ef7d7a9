package org.logophon.app.steps.deliver;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.deliveries.DeliveredFiles;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.DeliveryRepository;
import org.logophon.app.services.deliveries.DeliveryZip;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.core.delivery.Manifest;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Deliveries that are there: looked into, compared, downloaded. */
@Controller
@RequestMapping("/projects/{id}/deliveries")
class DeliveryController {

    private static final String ZIP = "application/zip";
    private static final Map<String, String> TYPES = Map.of(
            "wav", "audio/wav",
            "flac", "audio/flac",
            "mp3", "audio/mpeg",
            "opus", "audio/ogg",
            "m4a", "audio/mp4",
            "m4b", "audio/mp4");

    private final Projects projects;
    private final DeliveryRepository deliveries;
    private final DeliveredFiles files;
    private final DeliveryZip zip;
    private final ReadyDeliveries whole;

    DeliveryController(
            Projects projects,
            DeliveryRepository deliveries,
            DeliveredFiles files,
            DeliveryZip zip,
            ReadyDeliveries whole) {
        this.projects = projects;
        this.deliveries = deliveries;
        this.files = files;
        this.zip = zip;
        this.whole = whole;
    }

    /** All of it. */
    @GetMapping("/{delivery}/file")
    ResponseEntity<StreamingResponseBody> download(@PathVariable UUID id, @PathVariable UUID delivery) {
        Delivery found = ready(id, delivery);
        return answer(
                found.fileName(),
                ZIP,
                found.choice() == null ? found.bytes() : -1,
                out -> whole.copyTo(found, title(id), out));
    }

    /** What is new or has changed since the delivery before. */
    @GetMapping("/{delivery}/changes")
    ResponseEntity<StreamingResponseBody> changes(@PathVariable UUID id, @PathVariable UUID delivery) {
        Delivery found = ready(id, delivery);
        if (found.choice() == null) {
            throw new NotFound("The changes of this delivery are unknown. Download all of it.");
        }
        return answer(found.changesName(), ZIP, -1, out -> zip.write(found, title(id), true, out));
    }

    /** One file of it. @param position in its list */
    @GetMapping("/{delivery}/files/{position}")
    ResponseEntity<StreamingResponseBody> one(
            @PathVariable UUID id, @PathVariable UUID delivery, @PathVariable int position) {
        ready(id, delivery);
        List<Stored> all = files.of(delivery);
        if (position < 0
                || position >= all.size()
                || all.get(position).entry().sha256().isEmpty()) {
            throw new NotFound("This file isn't in the delivery.");
        }
        Manifest.Entry file = all.get(position).entry();
        String name = file.path().substring(file.path().lastIndexOf('/') + 1);
        String type =
                TYPES.getOrDefault(name.substring(name.lastIndexOf('.') + 1), MediaType.APPLICATION_OCTET_STREAM_VALUE);
        return answer(name, type, file.bytes(), out -> files.copyTo(file.sha256(), out));
    }

    /**
     * What is in it, and what has become of each since another one.
     *
     * @param since number of that; 0 for the one before
     */
    @GetMapping("/{delivery}/contents")
    String look(
            @PathVariable UUID id,
            @PathVariable UUID delivery,
            @RequestParam(defaultValue = "0") int since,
            Model model) {
        Delivery found = ready(id, delivery);
        Manifest manifest = manifest(found, title(id));
        int stored = manifest.files().size();
        Integer against = since == 0 ? found.since() : Integer.valueOf(since);
        if (since != 0) {
            Delivery other = deliveries
                    .numbered(id, since)
                    .filter(Delivery::ready)
                    .orElseThrow(() -> new NotFound("There is no delivery " + since + " to compare with."));
            manifest = new Manifest(
                            1,
                            manifest.title(),
                            manifest.files().stream()
                                    .filter(file -> !file.change().equals("gone"))
                                    .toList())
                    .since(manifest(other, title(id)));
        }
        model.addAttribute("project", projects.require(id));
        model.addAttribute("delivery", found);
        model.addAttribute("files", manifest.files());
        model.addAttribute("stored", stored);
        model.addAttribute("against", against);
        model.addAttribute(
                "others",
                deliveries.of(id).stream()
                        .filter(one -> one.ready() && one.choice() != null && one.ordinal() != found.ordinal())
                        .map(Delivery::ordinal)
                        .toList());
        return "delivered :: contents";
    }

    private Manifest manifest(Delivery delivery, String title) {
        return new Manifest(
                1, title, files.of(delivery.id()).stream().map(Stored::entry).toList());
    }

    private String title(UUID id) {
        Project project = projects.require(id);
        return project.name();
    }

    private Delivery ready(UUID project, UUID delivery) {
        return deliveries
                .find(delivery)
                .filter(found -> found.projectId().equals(project) && found.ready())
                .orElseThrow(() -> new NotFound("This delivery doesn't exist. Deliver lists those that do."));
    }

    private static ResponseEntity<StreamingResponseBody> answer(
            String name, String type, long bytes, StreamingResponseBody body) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, java.nio.charset.StandardCharsets.UTF_8)
                                .build()
                                .toString());
        return bytes < 0 ? answer.body(body) : answer.contentLength(bytes).body(body);
    }
}
