package org.logophon.app.platform.people;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** While nobody owns the first workspace, each start makes a link for who shall: only who sees the log can use it. */
@Component
@ConditionalOnProperty(name = "logophon.people.on", havingValue = "true")
class FirstOwner {

    private static final Logger LOG = LoggerFactory.getLogger(FirstOwner.class);

    private final PeopleSettings settings;
    private final Members members;
    private final Invitations invitations;
    private final WebServerApplicationContext server;

    FirstOwner(PeopleSettings settings, Members members, Invitations invitations, WebServerApplicationContext server) {
        this.settings = settings;
        this.members = members;
        this.invitations = invitations;
        this.server = server;
    }

    @EventListener(ApplicationReadyEvent.class)
    void invite() {
        if (members.owned(Workspace.FIRST) && !settings.ownerLink()) {
            return;
        }
        String base = settings.publicAddress().isEmpty()
                ? "http://localhost:" + server.getWebServer().getPort()
                : settings.publicAddress().replaceAll("/+$", "");
        LOG.info(
                "To become the owner of this server, open this link within seven days; it works once: {}/join/{}",
                base,
                invitations.makeOwner());
    }
}
