package org.logophon.app.platform.people;

import jakarta.servlet.http.HttpServletRequest;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.SentenceAnswer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page of one's own account: pass phrase, workspaces, signing out. */
@Controller
@RequestMapping("/me")
class MeController {

    private final SignIn signIn;
    private final Sessions sessions;
    private final Members members;
    private final Visits visits;

    MeController(SignIn signIn, Sessions sessions, Members members, Visits visits) {
        this.signIn = signIn;
        this.sessions = sessions;
        this.members = members;
        this.visits = visits;
    }

    @GetMapping
    String page(Model model) {
        Person me = me();
        model.addAttribute("me", me);
        model.addAttribute("memberships", members.of(me.id()));
        model.addAttribute("shortest", SignIn.SHORTEST);
        return "me";
    }

    /** It ends what was signed in by the old one, but for where it is changed. */
    @PostMapping("/phrase")
    @ResponseBody
    SentenceAnswer change(
            @RequestParam(defaultValue = "") String now,
            @RequestParam(defaultValue = "") String phrase,
            HttpServletRequest request) {
        Person me = me();
        signIn.change(me.id(), now, phrase);
        sessions.endAll(me.id());
        sessions.begin(request, me);
        return new SentenceAnswer("Pass phrase changed. You are signed out everywhere else.");
    }

    @NeedsNoRoom
    @PostMapping("/sign-out")
    @ResponseBody
    AddressAnswer leave(HttpServletRequest request) {
        sessions.end(request);
        return new AddressAnswer("/sign-in");
    }

    @NeedsNoRoom
    @PostMapping("/sign-out-everywhere")
    @ResponseBody
    AddressAnswer leaveEverywhere(HttpServletRequest request) {
        Person me = me();
        sessions.end(request);
        sessions.endAll(me.id());
        return new AddressAnswer("/sign-in");
    }

    private Person me() {
        return visits.now().map(Visit::person).orElseThrow(PeopleController::off);
    }
}
