package org.logophon.app.tidings;

import org.logophon.app.people.PeopleSettings;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where others find the pages, for what is sent to them. */
@Component
class PublicPlace {

    private final String base;

    PublicPlace(PeopleSettings settings, @Value("${server.port}") int port) {
        base = settings.publicAddress().isEmpty()
                ? "http://localhost:" + port
                : settings.publicAddress().replaceAll("/+$", "");
    }

    String address(String path) {
        return base + path;
    }
}
