package org.logophon.standin;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AccountsTest {

    @TempDir
    private Path folder;

    private Accounts at(String instant) throws IOException {
        return new Accounts(folder, Clock.fixed(Instant.parse(instant), ZoneOffset.UTC));
    }

    @Test
    void aMonthsAllowanceEndsWithTheMonthAndAnswersStay() throws IOException {
        assertThat(at("2026-11-30T23:59:59Z").charge("a", "{}", 9_000)).isTrue();
        assertThat(at("2026-11-30T23:59:59Z").charge("b", "{}", 1_001))
                .as("over the allowance")
                .isFalse();
        assertThat(at("2026-11-30T23:59:59Z").used()).isEqualTo(9_000);
        Accounts december = at("2026-12-01T00:00:00Z");
        assertThat(december.used()).isZero();
        assertThat(december.answer("a")).isEqualTo("{}");
        assertThat(december.answer("b")).isNull();
        assertThat(december.charge("a", "{}", 9_000))
                .as("paid in another month")
                .isTrue();
        assertThat(december.used()).isZero();
    }

    @Test
    void aKeyIsOnlyAKey() throws IOException {
        Accounts accounts = at("2026-11-25T12:00:00Z");
        for (String key : new String[] {"../../outside", "a/b", "é ü", "x".repeat(200), "used-2026-11"}) {
            assertThat(accounts.charge(key, key, 1)).isTrue();
            assertThat(accounts.answer(key)).isEqualTo(key);
        }
        assertThat(accounts.used()).isEqualTo(5);
        assertThat(folder.resolve("../../outside")).doesNotExist();
    }
}
