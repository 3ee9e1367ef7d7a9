package org.logophon.app.services.rendering;

import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler.ExponentialBackoffFailureHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler.MaxRetriesFailureHandler;
import java.time.Duration;
import java.util.function.Consumer;
import org.logophon.app.platform.failure.DatabaseAway;
import org.logophon.app.platform.failure.NoRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.LogSafeTrace;
import org.logophon.app.platform.web.MemoryUsedUp;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.voice.render.SpeechFailed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The retrying of failed jobs. While the database is away it comes again, after waits that grow, so many times at
 * the most; any other failure ends what the job was for, with a sentence, and the log has the reason once.
 */
public final class JobRetry {

    private static final Logger LOG = LoggerFactory.getLogger(JobRetry.class);

    /** A second, two, four…: four minutes in all. */
    static final int MOST = 8;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(1);
    private static final String INSIDE = "Something failed inside Logophon, and it has been logged. Try again; "
            + "if it fails again, the words or the voice may be the reason.";

    private JobRetry() {}

    /** For jobs that throw only what may pass. @param giveUp told the job's name when it has come again often enough */
    public static FailureHandler<Void> whileTheDatabaseIsAway(Consumer<String> giveUp) {
        return new MaxRetriesFailureHandler<>(
                MOST, new ExponentialBackoffFailureHandler<>(FIRST_WAIT), (failed, operations) -> {
                    LOG.error(
                            "The job {} came again {} times and is given up",
                            failed.getExecution().taskInstance,
                            MOST,
                            failed.getCause().orElse(null));
                    giveUp.accept(failed.getExecution().taskInstance.getId());
                });
    }

    /**
     * Does the work of a job.
     *
     * @param what for the log, as "cue 1 of batch 2"
     * @param end  told the sentence of a failure that doesn't pass
     * @throws RuntimeException when it may pass: the job is to come again
     */
    public static void run(String what, Runnable work, Consumer<String> end) {
        try {
            work.run();
        } catch (NotFound gone) {
            // what it was for was taken away meanwhile: that is no failure to write down
            end.accept(gone.getMessage());
        } catch (SpeechFailed | InvalidInput | Refused forPeople) {
            LOG.warn("{} failed: {}", what, forPeople.getMessage());
            end.accept(forPeople.getMessage());
        } catch (RuntimeException | Error failure) {
            if (NoRoom.is(failure)) {
                LOG.warn("{} stopped: no room on the disk", what);
                end.accept(NoRoom.SENTENCE);
                return;
            }
            if (MemoryUsedUp.is(failure)) {
                LOG.error("{} used up the memory", what);
                end.accept(MemoryUsedUp.OF_A_JOB);
                return;
            }
            if (failure instanceof RuntimeException passing && DatabaseAway.is(passing)) {
                throw passing;
            }
            LOG.error("{} failed: {}", what, LogSafeTrace.withoutWords(failure));
            end.accept(INSIDE);
        }
    }
}
