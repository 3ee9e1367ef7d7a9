package org.logophon.app.platform.people;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.SignInFirst;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceHttpRequestHandler;

/**
 * The one place that decides who may do what. Every request comes here before anything else is done: it says which
 * workspace the address belongs to, who asks, what they are there, and which right the address asks for ({@link
 * Rights}). Of what isn't theirs, people hear no more than that it isn't there. An interceptor, and no filter of Spring
 * Security's: those run before it is known which handler's address was asked for, and rights go by that.
 */
@Configuration
class Access implements WebMvcConfigurer, HandlerInterceptor {

    private static final String NO_PROJECT = "This project doesn't exist any more. The shelf shows those that do.";
    private static final String NO_PAGE = "There is no page at this address. The shelf shows all projects.";

    private final PeopleSettings settings;
    private final Sessions sessions;
    private final MemberRepository members;
    private final Visits visits;

    Access(PeopleSettings settings, Sessions sessions, MemberRepository members, Visits visits) {
        this.settings = settings;
        this.sessions = sessions;
        this.members = members;
        this.visits = visits;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(Ordered.HIGHEST_PRECEDENCE);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        Right right = handler instanceof ResourceHttpRequestHandler
                ? Right.ANYBODY
                : Rights.of(
                        request.getMethod(),
                        String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE)));
        // the end of an answer that was let in when it began
        boolean begun = request.getDispatcherType() == DispatcherType.ASYNC;
        if (!settings.on() || begun || right == Right.ANYBODY) {
            return true;
        }
        Person person = sessions.person(request).orElseThrow(SignInFirst::new);
        Visit visit = visit(person, request);
        if (right == Right.PERSON) {
            Visits.begin(request, visit == null ? new Visit(person, null, MemberRole.LISTENER) : visit);
            return true;
        }
        if (visit == null) {
            throw new Forbidden("You are in no workspace any more. Ask who invited you.");
        }
        if (right == Right.KEEP
                ? members.role(person.id(), Workspace.FIRST).orElse(null) != MemberRole.OWNER
                : !visit.role().has(right)) {
            throw new Forbidden("You are " + visit.role().one() + " here, who "
                    + visit.role().does() + ". For more, ask an owner of the workspace.");
        }
        Visits.begin(request, visit);
        return true;
    }

    /** Null for who is in no workspace at all. */
    private Visit visit(Person person, HttpServletRequest request) {
        Map<?, ?> named = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> all
                ? all
                : Map.of();
        if (named.get("id") != null) {
            return members.ofProject(person, uuid(named.get("id"), NO_PROJECT))
                    .orElseThrow(() -> new NotFound(NO_PROJECT));
        }
        if (named.get("workspace") != null) {
            UUID workspace = uuid(named.get("workspace"), NO_PAGE);
            return members.role(person.id(), workspace)
                    .map(role -> new Visit(person, workspace, role))
                    .orElseThrow(() -> new NotFound(NO_PAGE));
        }
        return members.home(person).orElse(null);
    }

    private static UUID uuid(Object value, String otherwise) {
        try {
            return UUID.fromString(String.valueOf(value));
        } catch (IllegalArgumentException none) {
            throw new NotFound(otherwise);
        }
    }

    /** Pages show what whoever looks at them may do. */
    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView page) {
        if (page != null && page.getViewName() != null && !page.getViewName().startsWith("redirect:")) {
            page.addObject("visit", visits.now().orElse(null));
            String house = visits.house();
            page.addObject("prefix", house);
            page.addObject("home", house.isEmpty() ? "/" : house);
            page.addObject("peopleOn", settings.on());
        }
    }
}
