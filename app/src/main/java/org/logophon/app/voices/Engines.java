package org.logophon.app.voices;

import java.time.Clock;
import org.logophon.finish.Finishing;
import org.logophon.render.Narrator;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The speech side of the application: workers, engine, voices. */
@Configuration
class Engines {

    /** @param workers how many; 0 for one a core */
    @Bean(destroyMethod = "close")
    WorkerPool workerPool(@Value("${logophon.workers}") int workers) {
        return new WorkerPool(workers > 0 ? workers : Math.max(1, Runtime.getRuntime().availableProcessors()));
    }

    @Bean
    Narrator narrator(WorkerPool pool) {
        return new Narrator(new org.logophon.speech.Engines(pool));
    }

    @Bean
    Finishing finishing(WorkerPool pool) {
        return new Finishing(new WorkerResampler(pool));
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
