package org.logophon.app.web;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says where Logophon is, once it is. */
@Component
class Ready {

    private final WebServerApplicationContext context;

    Ready(WebServerApplicationContext context) {
        this.context = context;
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        System.out.println("Logophon is ready at http://localhost:"
                + context.getWebServer().getPort() + " (Ctrl-C stops it).");
    }
}
