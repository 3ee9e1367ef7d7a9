package org.logophon.app;

import java.util.concurrent.locks.ReentrantLock;
import org.springframework.boot.SpringApplicationRunListener;
import org.springframework.boot.bootstrap.ConfigurableBootstrapContext;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Tests run side by side, and contexts of Spring may begin at once. All of them set up the one Logback of the process,
 * which doesn't bear two that do: that part of a start comes one after another.
 */
public final class OneStartAtATime implements SpringApplicationRunListener {

    private static final ReentrantLock STARTING = new ReentrantLock();

    @Override
    public void starting(ConfigurableBootstrapContext bootstrap) {
        STARTING.lock();
    }

    /** Logging is set up by then. */
    @Override
    public void contextPrepared(ConfigurableApplicationContext context) {
        STARTING.unlock();
    }

    @Override
    public void failed(ConfigurableApplicationContext context, Throwable failure) {
        if (STARTING.isHeldByCurrentThread()) {
            STARTING.unlock();
        }
    }
}
