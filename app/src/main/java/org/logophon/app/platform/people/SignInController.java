package org.logophon.app.platform.people;

import jakarta.servlet.http.HttpServletRequest;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.people.InvitationRepository.Invitation;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.OwnAddress;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The door: signing in, and coming in by a link. */
@Controller
class SignInController {

    private final PeopleSettings settings;
    private final SignIn signIn;
    private final Sessions sessions;
    private final Invitations invitations;
    private final Members members;
    private final PersonRepository people;
    private final OwnAddress addresses;

    SignInController(
            PeopleSettings settings,
            SignIn signIn,
            Sessions sessions,
            Invitations invitations,
            Members members,
            PersonRepository people,
            OwnAddress addresses) {
        this.settings = settings;
        this.signIn = signIn;
        this.sessions = sessions;
        this.invitations = invitations;
        this.members = members;
        this.people = people;
        this.addresses = addresses;
    }

    @ModelAttribute
    void switchedOn() {
        if (!settings.on()) {
            throw new NotFound("There is no page at this address. The shelf shows all projects.");
        }
    }

    @GetMapping("/sign-in")
    String door(@RequestParam(defaultValue = "/") String then, Model model) {
        model.addAttribute("then", addresses.orShelf(then));
        return "sign-in";
    }

    @NeedsNoRoom
    @PostMapping("/sign-in")
    @ResponseBody
    AddressAnswer enter(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String phrase,
            @RequestParam(defaultValue = "/") String then,
            HttpServletRequest request) {
        sessions.begin(request, signIn.enter(name, phrase));
        return new AddressAnswer(addresses.orShelf(then));
    }

    @GetMapping("/join/{token}")
    String invited(@PathVariable String token, HttpServletRequest request, Model model) {
        Invitation invitation = invitations.at(token);
        model.addAttribute("workspace", members.workspace(invitation.workspace()));
        model.addAttribute("role", invitation.role());
        model.addAttribute(
                "renews",
                invitation.person() == null
                        ? null
                        : people.find(invitation.person()).orElse(null));
        model.addAttribute("person", sessions.person(request).orElse(null));
        model.addAttribute("address", "/join/" + token);
        model.addAttribute("door", "/sign-in?then=/join/" + token);
        model.addAttribute("shortest", SignIn.SHORTEST);
        return "join";
    }

    @PostMapping("/join/{token}")
    @ResponseBody
    AddressAnswer join(
            @PathVariable String token,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String phrase,
            HttpServletRequest request) {
        sessions.begin(request, invitations.join(token, name, phrase));
        return new AddressAnswer("/");
    }

    /** With the name that somebody has signed in by. */
    @PostMapping("/join/{token}/mine")
    @ResponseBody
    AddressAnswer joinToo(@PathVariable String token, HttpServletRequest request) {
        Person person =
                sessions.person(request).orElseThrow(() -> new NotFound("You are signed out. Reload the page."));
        Invitation invitation = invitations.at(token);
        invitations.join(token, person);
        return new AddressAnswer("/workspaces/" + invitation.workspace());
    }

    /** A new pass phrase ends what was signed in by the old one. */
    @PostMapping("/join/{token}/phrase")
    @ResponseBody
    AddressAnswer renew(
            @PathVariable String token, @RequestParam(defaultValue = "") String phrase, HttpServletRequest request) {
        sessions.end(request);
        sessions.endAll(invitations.renew(token, phrase));
        return new AddressAnswer("/sign-in");
    }
}
