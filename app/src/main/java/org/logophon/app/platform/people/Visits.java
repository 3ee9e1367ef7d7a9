package org.logophon.app.platform.people;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * The visit that is being answered, once it was let in. Lists of the house ask here whose they are: what a workspace
 * has is never read or written by the word of a request alone.
 */
@Component
public class Visits {

    private static final String NAME = Visit.class.getName();

    private final PeopleSettings settings;
    private final MemberRepository members;

    Visits(PeopleSettings settings, MemberRepository members) {
        this.settings = settings;
        this.members = members;
    }

    static void begin(HttpServletRequest request, Visit visit) {
        request.setAttribute(NAME, visit);
    }

    /** Empty for jobs, and for who came by a link or the feed. */
    public Optional<Visit> now() {
        if (!settings.on()) {
            return Optional.of(Visit.HOUSE);
        }
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        return request == null
                ? Optional.empty()
                : Optional.ofNullable((Visit) request.getAttribute(NAME, RequestAttributes.SCOPE_REQUEST));
    }

    /** @throws IllegalStateException where nobody was let into one */
    public UUID workspace() {
        return now().map(Visit::workspace)
                .orElseThrow(() -> new IllegalStateException("A list of the house was asked for outside a workspace."));
    }

    /** Of who asks; empty while people are switched off, or for a job. */
    public String name() {
        return now().map(Visit::person).map(Person::name).orElse("");
    }

    /** Workspaces of who asks; none while people are switched off. */
    public List<Membership> memberships() {
        return now().map(Visit::person).map(person -> members.of(person.id())).orElse(List.of());
    }

    /** What comes before addresses of the house in its pages: empty while people are switched off. */
    public String house() {
        return settings.on()
                ? now().map(visit -> "/workspaces/" + visit.workspace()).orElse("")
                : "";
    }
}
