package org.logophon.app.platform.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/**
 * The sessions of signed-in people. A session knows a person's id and nothing else: what they may do is looked up each
 * time.
 */
@Component
class Sessions {

    private static final String PERSON = FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME;

    /** There is none while people are switched off. */
    private final ObjectProvider<FindByIndexNameSessionRepository<? extends Session>> table;

    private final PersonRepository people;

    Sessions(ObjectProvider<FindByIndexNameSessionRepository<? extends Session>> table, PersonRepository people) {
        this.table = table;
        this.people = people;
    }

    Optional<Person> person(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null || !(session.getAttribute(PERSON) instanceof String id)
                ? Optional.empty()
                : people.find(UUID.fromString(id));
    }

    /** A session that somebody else may know of is left behind. */
    void begin(HttpServletRequest request, Person person) {
        end(request);
        request.getSession(true).setAttribute(PERSON, person.id().toString());
    }

    void end(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }

    /** On every machine on which somebody has signed in. */
    void endAll(UUID person) {
        FindByIndexNameSessionRepository<? extends Session> sessions = table.getObject();
        sessions.findByPrincipalName(person.toString()).keySet().forEach(sessions::deleteById);
    }
}
