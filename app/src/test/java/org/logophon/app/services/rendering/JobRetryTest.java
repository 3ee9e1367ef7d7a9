package org.logophon.app.services.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.voice.render.SpeechFailed;
import org.springframework.dao.DataAccessResourceFailureException;

/** What becomes of a job that fails. */
class JobRetryTest {

    private final List<String> ends = new ArrayList<>();

    private void run(Runnable work) {
        JobRetry.run("Cue 1", work, ends::add);
    }

    @Test
    void whatWasWrittenForPeopleReachesThem() {
        run(() -> {
            throw new SpeechFailed("The voice made no sound of this text.");
        });
        run(() -> {
            throw new NotFound("This cue is no longer in the script.");
        });
        run(() -> {
            throw new InvalidInput("Pace goes from 50 to 200 %.");
        });
        assertThat(ends)
                .containsExactly(
                        "The voice made no sound of this text.",
                        "This cue is no longer in the script.",
                        "Pace goes from 50 to 200 %.");
    }

    @Test
    void anythingElseEndsTheJobOnceAndTellsNothingOfTheInside() {
        run(() -> {
            throw new IllegalStateException("column secret of table speech");
        });
        run(() -> {
            throw new IllegalArgumentException("Comparison method violates its general contract!");
        });
        run(() -> {
            throw new StackOverflowError();
        });
        assertThat(ends)
                .hasSize(3)
                .allSatisfy(sentence ->
                        assertThat(sentence).contains("has been logged").doesNotContain("secret", "contract", "heap"));
    }

    @Test
    void memoryThatIsUsedUpAndADiskWithoutRoomEndItWithTheReason() {
        run(() -> {
            throw new OutOfMemoryError("Java heap space");
        });
        run(() -> {
            throw new DataAccessResourceFailureException("speech", new SQLException("disk full", "53100"));
        });
        assertThat(ends).hasSize(2);
        assertThat(ends.get(0)).contains("more memory than Logophon has", "LOGOPHON_HEAP");
        assertThat(ends.get(1)).contains("no room on the disk");
    }

    @Test
    void onlyWhatPassesByItselfComesAgain() {
        assertThatThrownBy(() -> run(() -> {
                    throw new DataAccessResourceFailureException("the database restarts");
                }))
                .isInstanceOf(DataAccessResourceFailureException.class);
        assertThat(ends).isEmpty();
    }

    @Test
    void whatSucceedsEndsNothing() {
        run(() -> {});
        assertThat(ends).isEmpty();
    }
}
