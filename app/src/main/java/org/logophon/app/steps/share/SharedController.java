package org.logophon.app.steps.share;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeWordTimes;
import org.logophon.app.services.rendering.RangedAnswer;
import org.logophon.app.services.rendering.TakeSound;
import org.logophon.app.steps.share.SharedProgramme.SharedCue;
import org.logophon.core.voice.finish.Clip.TimedWord;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** What somebody with a link sees, hears and says. Each request begins with the link: ended, it gives nothing. */
@Controller
@RequestMapping("/s/{token}")
class SharedController {

    private static final String PASS = "logophon-pass";

    private final ShareLinks links;
    private final PassPhrases phrases;
    private final SharedProgrammes programmes;
    private final SharedReviewing reviewing;
    private final SpeechRepository speeches;
    private final TakeSound sound;
    private final SharedLayer layers;
    private final ReadyDeliveries deliveries;

    SharedController(
            ShareLinks links,
            PassPhrases phrases,
            SharedProgrammes programmes,
            SharedReviewing reviewing,
            SpeechRepository speeches,
            TakeSound sound,
            SharedLayer layers,
            ReadyDeliveries deliveries) {
        this.links = links;
        this.phrases = phrases;
        this.programmes = programmes;
        this.reviewing = reviewing;
        this.speeches = speeches;
        this.sound = sound;
        this.layers = layers;
        this.deliveries = deliveries;
    }

    /** Whoever finds it shall not list it. */
    @ModelAttribute
    void unlisted(HttpServletResponse response) {
        response.setHeader("X-Robots-Tag", "noindex, nofollow, noarchive");
        response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
    }

    @GetMapping
    String page(@PathVariable String token, HttpServletRequest request, Model model) {
        Share share = links.open(token);
        model.addAttribute("asksPhrase", !passes(share, token, request));
        if (passes(share, token, request)) {
            model.addAttribute("title", programmes.of(share).title());
            model.addAttribute("download", share.download() && share.delivery() != null);
        }
        return "share";
    }

    @PostMapping("/phrase")
    @ResponseBody
    ResponseEntity<SentenceAnswer> enter(
            @PathVariable String token, @RequestParam(defaultValue = "") String phrase, HttpServletRequest request) {
        Share share = links.open(token);
        String pass = share.phrase() == null ? "" : phrases.enter(share, token, phrase);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.SET_COOKIE,
                        ResponseCookie.from(PASS, pass)
                                .httpOnly(true)
                                .secure(request.isSecure())
                                .sameSite("Lax")
                                .path("/s/" + token)
                                .build()
                                .toString())
                .body(new SentenceAnswer("Come in."));
    }

    /**
     * @param cues in order
     * @param notes that came by this link
     * @param layer address of what lies under it; null for nothing
     */
    record Answer(
            String stamp,
            String title,
            String told,
            double seconds,
            List<CueAnswer> cues,
            List<NoteAnswer> notes,
            String layer,
            double layerSeconds) {}

    /**
     * @param sound address
     * @param approved who found it good by this link; empty for nobody
     * @param ready false while it is being changed
     */
    record CueAnswer(
            UUID id,
            UUID take,
            String number,
            String scene,
            String role,
            int colour,
            String text,
            double start,
            double seconds,
            String sound,
            String approved,
            boolean ready) {}

    record NoteAnswer(UUID cue, int start, int end, String word, String remark, String writer, boolean open) {}

    @GetMapping("/programme")
    @ResponseBody
    Answer programme(@PathVariable String token, HttpServletRequest request) {
        Share share = let(token, request);
        String stamp = programmes.stamp(share);
        SharedProgramme programme = programmes.of(share);
        Map<UUID, String> approved = reviewing.approved(share, programme);
        return new Answer(
                stamp,
                programme.title(),
                told(programme),
                programme.seconds(),
                programme.cues().stream()
                        .map(cue -> new CueAnswer(
                                cue.id(),
                                cue.take().id(),
                                cue.number(),
                                cue.scene(),
                                cue.role(),
                                cue.colour(),
                                cue.text(),
                                cue.start(),
                                cue.seconds(),
                                "/s/" + token + "/takes/" + cue.take().id() + "/" + stamp(programme, cue) + ".wav",
                                approved.getOrDefault(cue.id(), ""),
                                cue.heard() != null))
                        .toList(),
                reviewing.notes(share).stream()
                        .flatMap(note -> programme.cue(note.cue()).stream()
                                .flatMap(cue -> note.place().in(cue.text()).stream())
                                .map(place -> new NoteAnswer(
                                        note.cue(),
                                        place.start(),
                                        place.end(),
                                        place.word(),
                                        note.remark(),
                                        note.writer(),
                                        note.open())))
                        .toList(),
                programme.laid().empty() ? null : "/s/" + token + "/layer/" + layers.stamp(programme) + ".wav",
                layers.length(programme).seconds());
    }

    /** What lies under the programme. */
    @GetMapping("/layer/{stamp}.wav")
    void layer(
            @PathVariable String token,
            @PathVariable String stamp,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        SharedProgramme programme = programmes.of(let(token, request));
        if (programme.laid().empty()) {
            throw changed();
        }
        CacheControl caching = stamp.equals(layers.stamp(programme))
                ? CacheControl.maxAge(Duration.ofHours(1)).cachePrivate()
                : CacheControl.noStore();
        RangedAnswer.write(layers.wav(programme), range, caching, response);
    }

    private static String told(SharedProgramme programme) {
        if (programme.delivery() == 0) {
            return "as it is now";
        }
        return "delivery " + programme.delivery()
                + (programme.newer() == 0 ? "" : "; there is a newer one, delivery " + programme.newer());
    }

    private static String stamp(SharedProgramme programme, SharedCue cue) {
        return TakeSound.stamp(cue.take().sound(), programme.targetLufs(), cue.offsetDb());
    }

    @GetMapping("/stamp")
    @ResponseBody
    Map<String, String> stamp(@PathVariable String token, HttpServletRequest request) {
        return Map.of("stamp", programmes.stamp(let(token, request)));
    }

    @GetMapping("/takes/{take}/{stamp}.wav")
    void sound(
            @PathVariable String token,
            @PathVariable UUID take,
            @PathVariable String stamp,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        SharedProgramme programme = programmes.of(let(token, request));
        SharedCue cue = programme.ofTake(take).orElseThrow(SharedController::changed);
        CacheControl caching = stamp.equals(stamp(programme, cue))
                ? CacheControl.maxAge(Duration.ofHours(1)).cachePrivate()
                : CacheControl.noStore();
        RangedAnswer.write(
                TakeSound.wav(sound.clip(cue.take().sound(), programme.targetLufs(), cue.offsetDb())),
                range,
                caching,
                response);
    }

    /** When the words of a take are said. */
    @GetMapping("/takes/{take}/words")
    @ResponseBody
    List<TimedWord> words(@PathVariable String token, @PathVariable UUID take, HttpServletRequest request) {
        SharedProgramme programme = programmes.of(let(token, request));
        Take heard =
                programme.ofTake(take).orElseThrow(SharedController::changed).take();
        return TakeWordTimes.of(
                heard,
                speeches.timed(List.of(heard.speech()), false)
                        .getOrDefault(heard.speech(), SpeechRepository.Timed.NONE));
    }

    @PostMapping("/cues/{cue}/notes")
    @ResponseBody
    SentenceAnswer note(
            @PathVariable String token,
            @PathVariable UUID cue,
            @RequestParam UUID take,
            @RequestParam int at,
            @RequestParam String remark,
            @RequestParam String name,
            HttpServletRequest request) {
        Share share = let(token, request);
        reviewing.note(share, programmes.of(share), cue, take, at, remark, name);
        return new SentenceAnswer("Note saved. Whoever sent you the link sees it now.");
    }

    @PostMapping("/cues/{cue}/approval")
    @ResponseBody
    SentenceAnswer approve(
            @PathVariable String token,
            @PathVariable UUID cue,
            @RequestParam UUID take,
            @RequestParam String name,
            HttpServletRequest request) {
        Share share = let(token, request);
        reviewing.approve(share, programmes.of(share), cue, take, name);
        return new SentenceAnswer("Approved.");
    }

    @PostMapping("/cues/{cue}/approval/withdraw")
    @ResponseBody
    SentenceAnswer withdraw(
            @PathVariable String token, @PathVariable UUID cue, @RequestParam String name, HttpServletRequest request) {
        Share share = let(token, request);
        reviewing.withdraw(share, programmes.of(share), cue, name);
        return new SentenceAnswer("Taken back.");
    }

    /** @param takes as they were heard, in order */
    record Whole(List<UUID> takes, String name) {}

    @PostMapping("/approval")
    @ResponseBody
    SentenceAnswer approveAll(@PathVariable String token, @RequestBody Whole whole, HttpServletRequest request) {
        Share share = let(token, request);
        SharedProgramme programme = programmes.of(share);
        int approved = reviewing.approveAll(
                share,
                programme,
                whole.takes() == null ? List.of() : whole.takes(),
                whole.name() == null ? "" : whole.name());
        int left = programme.cues().size() - approved;
        return new SentenceAnswer(
                left == 0
                        ? "All cues approved."
                        : approved + " cues are approved; " + left + " are being changed, and aren't.");
    }

    @GetMapping("/download")
    ResponseEntity<StreamingResponseBody> download(@PathVariable String token, HttpServletRequest request) {
        Share share = let(token, request);
        Delivery delivery = programmes.delivery(share);
        if (!share.download() || delivery == null) {
            throw new Forbidden("This link doesn't allow download. Ask whoever sent it.");
        }
        String title = programmes.of(share).title();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(delivery.fileName(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(out -> deliveries.copyTo(delivery, title, out));
    }

    private static NotFound changed() {
        return new NotFound("This is no longer part of the link. Reload the page.");
    }

    private Share let(String token, HttpServletRequest request) {
        Share share = links.open(token);
        if (!passes(share, token, request)) {
            throw new Forbidden("This link asks for a pass phrase. Reload the page.");
        }
        return share;
    }

    private boolean passes(Share share, String token, HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        String kept = cookies == null
                ? null
                : Arrays.stream(cookies)
                        .filter(cookie -> cookie.getName().equals(PASS))
                        .map(Cookie::getValue)
                        .findFirst()
                        .orElse(null);
        return phrases.passes(share, token, kept);
    }
}
