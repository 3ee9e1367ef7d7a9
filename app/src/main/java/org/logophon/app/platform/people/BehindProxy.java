package org.logophon.app.platform.people;

import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * A proxy that ends TLS says how it was asked: by which name, and whether by TLS. It is believed only when it speaks
 * from this machine or a private network (RFC 1918), as the valve has it.
 */
@Component
@ConditionalOnProperty(name = "logophon.people.proxy", havingValue = "true")
class BehindProxy implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        RemoteIpValve valve = new RemoteIpValve();
        valve.setProtocolHeader("X-Forwarded-Proto");
        valve.setHostHeader("X-Forwarded-Host");
        valve.setPortHeader("X-Forwarded-Port");
        server.addEngineValves(valve);
    }
}
