package org.logophon.app.services.notifications;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.people.Person;
import org.logophon.app.platform.people.Visit;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.LinkToken;
import org.logophon.app.platform.web.SentenceAnswer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The addresses of notifications and their settings. */
@Controller
class NotificationController {

    /** Of what a page that has just opened hasn't seen. */
    private static final Duration JUST_NOW = Duration.ofSeconds(20);

    private static final Duration WHILE_AWAY = Duration.ofHours(12);
    private static final int MOST = 5;

    private final Notifications notifications;
    private final NotificationSettingsRepository wishes;
    private final Mail mail;
    private final Hooks hooks;
    private final Visits visits;
    private final Clock clock;

    NotificationController(
            Notifications notifications,
            NotificationSettingsRepository wishes,
            Mail mail,
            Hooks hooks,
            Visits visits,
            Clock clock) {
        this.notifications = notifications;
        this.wishes = wishes;
        this.mail = mail;
        this.hooks = hooks;
        this.visits = visits;
        this.clock = clock;
    }

    record NotificationLine(long id, String project, String sentence, String address) {}

    /** @param after the last that the page has shown; less than 0 for a page that has shown none */
    @GetMapping({"/notifications/new", "/workspaces/{workspace}/notifications/new"})
    @ResponseBody
    List<NotificationLine> since(@RequestParam(defaultValue = "-1") long after) {
        return notifications
                .since(
                        visits.workspace(),
                        wishes.of(me()),
                        after,
                        clock.instant().minus(after < 0 ? JUST_NOW : WHILE_AWAY),
                        MOST)
                .stream()
                .map(notification -> new NotificationLine(
                        notification.id(), notification.projectName(), notification.sentence(), notification.address()))
                .toList();
    }

    @GetMapping("/notifications")
    String page(Model model) {
        model.addAttribute("wish", wishes.of(me()));
        model.addAttribute("mailing", mail.there());
        return "notifications";
    }

    @PostMapping("/notifications")
    @ResponseBody
    SentenceAnswer save(
            @RequestParam(defaultValue = "false") boolean renders,
            @RequestParam(defaultValue = "false") boolean deliveries,
            @RequestParam(defaultValue = "false") boolean visitors,
            @RequestParam(defaultValue = "") String mail,
            @RequestParam(defaultValue = "") String hook) {
        NotificationSettings now = wishes.of(me());
        String address = hooks.checked(hook);
        String secret = address.isEmpty() ? "" : address.equals(now.hook()) ? now.secret() : LinkToken.make();
        wishes.save(new NotificationSettings(
                now.id(), me(), renders, deliveries, visitors, Mail.checked(mail), address, secret));
        return new SentenceAnswer(
                secret.isEmpty() || secret.equals(now.secret())
                        ? "Saved."
                        : "Saved. Signing secret of the webhook: " + secret);
    }

    private UUID me() {
        return visits.now().map(Visit::person).map(Person::id).orElse(null);
    }
}
