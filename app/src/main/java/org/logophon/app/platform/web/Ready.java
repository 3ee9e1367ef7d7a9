package org.logophon.app.platform.web;

import org.logophon.app.platform.node.NodeSettings;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** The line that gives the address once the application is ready. */
@Component
class Ready {

    private final WebServerApplicationContext context;
    private final NodeSettings settings;

    Ready(WebServerApplicationContext context, NodeSettings settings) {
        this.context = context;
        this.settings = settings;
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        int port = context.getWebServer().getPort();
        if (!settings.pages()) {
            System.out.println("This server does jobs, and answers no pages (Ctrl-C stops it).");
        } else if (settings.outsidePort() == 0 || port == settings.outsidePort()) {
            System.out.println("Logophon is ready at http://localhost:" + port + " (Ctrl-C stops it).");
        } else {
            System.out.println(
                    "A server is ready on port " + port + ", behind http://localhost:" + settings.outsidePort());
        }
    }
}
