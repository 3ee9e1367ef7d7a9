package org.logophon.app.platform.node;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The settings of this server among others.
 *
 * @param outsidePort where browsers find it on its machine: its own port, or a balancer's
 * @param pages       false for a server that does jobs and answers no page
 * @param renders     cues that it renders at once; 0 for as many as suit its cores
 */
@ConfigurationProperties("logophon.node")
public record NodeSettings(
        int outsidePort,
        @DefaultValue("true") boolean pages,
        @DefaultValue("0") int renders) {

    private static final int LEAST = 3;

    /** Jobs that it does at once. One more than its cores: a job waits for its database now and then. */
    public int jobs() {
        return renders > 0 ? renders : Math.max(LEAST, Runtime.getRuntime().availableProcessors() + 1);
    }
}
