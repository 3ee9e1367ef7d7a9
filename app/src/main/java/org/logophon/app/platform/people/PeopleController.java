package org.logophon.app.platform.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.people.MemberRepository.Member;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.SentenceAnswer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The people of a workspace. */
@Controller
@RequestMapping({"/people", "/workspaces/{workspace}/people"})
class PeopleController {

    private final Members members;
    private final Invitations invitations;
    private final Visits visits;
    private final Clock clock;

    PeopleController(Members members, Invitations invitations, Visits visits, Clock clock) {
        this.members = members;
        this.invitations = invitations;
        this.visits = visits;
        this.clock = clock;
    }

    static NotFound off() {
        return new NotFound("Accounts are switched off here: whoever uses this machine is the owner. The settings can "
                + "switch them on.");
    }

    @ModelAttribute
    void switchedOn() {
        if (visit().person() == null) {
            throw off();
        }
    }

    private Visit visit() {
        return visits.now().orElseThrow(PeopleController::off);
    }

    /** @param left for people */
    public record InvitationLine(UUID id, MemberRole role, String left) {}

    /** @param address path of the link: it is told this once */
    record CreatedLink(String address, String sentence) {}

    @GetMapping
    String page(Model model) {
        fill(model);
        model.addAttribute("roles", MemberRole.values());
        model.addAttribute("memberships", members.of(visit().person().id()));
        return "people";
    }

    @GetMapping("/list")
    String list(Model model) {
        fill(model);
        model.addAttribute("roles", MemberRole.values());
        return "people :: list";
    }

    private void fill(Model model) {
        UUID workspace = visits.workspace();
        List<Member> all = members.in(workspace);
        Instant now = clock.instant();
        model.addAttribute("workspace", members.workspace(workspace));
        model.addAttribute("members", all);
        model.addAttribute("me", visit().person());
        model.addAttribute(
                "invitations",
                visit().owns()
                        ? invitations.open(workspace).stream()
                                .map(open -> new InvitationLine(open.id(), open.role(), left(now, open.until())))
                                .toList()
                        : List.of());
    }

    private static String left(Instant now, Instant until) {
        long hours = Math.max(1, Duration.between(now, until).toHours());
        return hours < 48 ? hours + " h left" : hours / 24 + " days left";
    }

    @PostMapping("/name")
    @ResponseBody
    SentenceAnswer rename(@RequestParam(defaultValue = "") String name) {
        members.rename(visits.workspace(), name);
        return new SentenceAnswer("Renamed.");
    }

    @DoneOnce
    @PostMapping("/invitations")
    @ResponseBody
    CreatedLink invite(@RequestParam String role) {
        MemberRole as = MemberRole.named(role);
        return new CreatedLink(
                "/join/" + invitations.make(visits.workspace(), as),
                "Send this link to one person. It makes them " + as.one() + ", once, within seven days.");
    }

    @PostMapping("/invitations/{invitation}/take-back")
    @ResponseBody
    SentenceAnswer takeBack(@PathVariable UUID invitation) {
        invitations.takeBack(visits.workspace(), invitation);
        return new SentenceAnswer("Invitation revoked.");
    }

    @PostMapping("/members/{person}")
    @ResponseBody
    SentenceAnswer set(@PathVariable UUID person, @RequestParam String role) {
        MemberRole as = MemberRole.named(role);
        members.set(visits.workspace(), person, as);
        return new SentenceAnswer("Changed: " + as.one() + " " + as.does() + ".");
    }

    @PostMapping("/members/{person}/remove")
    @ResponseBody
    SentenceAnswer remove(@PathVariable UUID person) {
        members.remove(visits.workspace(), person);
        return new SentenceAnswer("Removed from the workspace.");
    }

    @DoneOnce
    @PostMapping("/members/{person}/phrase")
    @ResponseBody
    CreatedLink phrase(@PathVariable UUID person) {
        return new CreatedLink(
                "/join/" + invitations.makeForPhrase(visits.workspace(), person),
                "Send this link to them alone. With it they choose a new pass phrase, once, within seven days.");
    }

    @PostMapping("/leave")
    @ResponseBody
    AddressAnswer leave() {
        members.remove(visits.workspace(), visit().person().id());
        return new AddressAnswer("/");
    }

    @PostMapping("/workspaces")
    @ResponseBody
    AddressAnswer make(@RequestParam(defaultValue = "") String name) {
        return new AddressAnswer("/workspaces/" + members.make(visit().person(), name));
    }
}
