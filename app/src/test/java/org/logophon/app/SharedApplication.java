package org.logophon.app;

import java.util.UUID;
import java.util.function.BooleanSupplier;

/** For tests in packages of their own, which look inside. */
public abstract class SharedApplication extends ApplicationTest {

    /** @return its address */
    protected String project(String name, String script) {
        return server.project(name, script);
    }

    protected static UUID id(String project) {
        return UUID.fromString(project.substring(project.lastIndexOf('/') + 1));
    }

    protected static void await(String what, BooleanSupplier done) {
        Server.await(what, done);
    }
}
