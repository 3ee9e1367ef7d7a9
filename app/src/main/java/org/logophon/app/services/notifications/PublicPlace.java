package org.logophon.app.services.notifications;

import org.logophon.app.platform.node.NodeSettings;
import org.logophon.app.platform.people.PeopleSettings;
import org.springframework.stereotype.Component;

/** The public address of pages, for what is sent to people. */
@Component
class PublicPlace {

    private final String base;

    PublicPlace(PeopleSettings settings, NodeSettings node) {
        base = settings.publicAddress().isEmpty()
                ? "http://localhost:" + node.outsidePort()
                : settings.publicAddress().replaceAll("/+$", "");
    }

    String address(String path) {
        return base + path;
    }
}
