package org.logophon.app.steps.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.logophon.app.SharedApplication;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.upkeep.Upkeep.Removed;
import org.logophon.app.services.page.FileSize;
import org.logophon.core.signal.sound.Sound;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What goes when, on a store that other tests use too: each looks after its own things, at a time of its own. */
class UpkeepTest extends SharedApplication {

    @Autowired
    private UpkeepRun upkeep;

    @Autowired
    private UpkeepReportRepository reports;

    @Autowired
    private AudioStore audio;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private Clock clock;

    private int count(String sql, Object... arguments) {
        return jdbc.queryForObject(sql, Integer.class, arguments);
    }

    private Instant in(Duration time) {
        return clock.instant().plus(time);
    }

    @Test
    void aSoundThatNothingUsesGoesAWeekAfterThatWasSeen() {
        float[] samples = new float[5_000];
        samples[17] = UUID.randomUUID().hashCode() / (float) Integer.MAX_VALUE;
        UUID sound = audio.store(new Sound(samples, 8_000)).id();
        String there = "select count(*) from sound where id = ?";
        upkeep.run(clock.instant());
        upkeep.run(in(Duration.ofDays(6)));
        assertThat(count(there, sound)).isEqualTo(1);
        UpkeepReport report = upkeep.run(in(Duration.ofDays(7).plusMinutes(1)));
        assertThat(count(there, sound)).isZero();
        assertThat(count("select count(*) from sound_piece where sound_id = ?", sound))
                .isZero();
        assertThat(report.removed()).extracting(Removed::what).contains("sounds");
        assertThat(report.bytes()).isGreaterThanOrEqualTo(10_000);
        assertThat(reports.latest().orElseThrow().removed()).containsExactlyInAnyOrderElementsOf(report.removed());
    }

    @Test
    @ResourceLock("upkeep")
    void askedForWhileItRunsItIsNoFailure() {
        // as a server that is at it leaves it, unless one really is
        jdbc.update("update scheduled_tasks set picked = true, picked_by = 'test' where task_name = 'upkeep' "
                + "and not picked");
        try {
            assertThat(server.post("/storage/upkeep", Map.of()).body()).contains("Under way");
            assertThat(server.get("/storage").body()).contains("Under way");
        } finally {
            jdbc.update("update scheduled_tasks set picked = false, picked_by = null where picked_by = 'test'");
        }
    }

    @Test
    void aSoundThatIsUsedAgainMeanwhileStays() {
        float[] samples = new float[4_000];
        samples[3] = UUID.randomUUID().hashCode() / (float) Integer.MAX_VALUE;
        Sound sound = new Sound(samples, 8_000);
        UUID stored = audio.store(sound).id();
        upkeep.run(clock.instant());
        audio.store(sound);
        assertThat(count("select count(*) from sound where id = ? and unused_since is null", stored))
                .isEqualTo(1);
    }

    @Test
    void versionsAreThinnedAndTheNamedTheDeliveredAndTheNewestStay() {
        UUID project = id(project("Thinned", "The first words."));
        jdbc.update("delete from script_version where project_id = ?", project);
        Instant now = clock.instant();
        // four in an hour of yesterday's day before, four on one day of a month ago, and the newest
        Instant hour = now.minus(Duration.ofDays(3)).truncatedTo(java.time.temporal.ChronoUnit.HOURS);
        Instant day = now.minus(Duration.ofDays(30)).truncatedTo(java.time.temporal.ChronoUnit.DAYS);
        for (int i = 0; i < 4; i++) {
            version(project, 10 + i, day.plus(Duration.ofHours(2 * i)));
            version(project, 20 + i, hour.plus(Duration.ofMinutes(10 * i)));
        }
        version(project, 30, now.minus(Duration.ofHours(3)));
        version(project, 31, now.minus(Duration.ofHours(2)));
        version(project, 40, now);
        jdbc.update("update project set script_version = 40 where id = ?", project);
        jdbc.update("update script_version set name = 'first draft' where project_id = ? and version = 11", project);
        jdbc.update(
                "insert into delivery (id, project_id, ordinal, file_name, name_pattern, state, total, "
                        + "script_version, created_at) values (?, ?, 1, 'a.zip', '', 'ready', 1, 21, now())",
                UUID.randomUUID(),
                project);
        upkeep.run(now);
        assertThat(jdbc.queryForList(
                        "select version from script_version where project_id = ? order by version",
                        Integer.class,
                        project))
                .containsExactly(11, 13, 21, 23, 30, 31, 40);
    }

    private void version(UUID project, int version, Instant at) {
        jdbc.update(
                "insert into script_version (project_id, version, packed, cuts, splitting, words, cues, "
                        + "what, at) values (?, ?, '', '{}', 'blank-line', 1, 1, 'Typed', ?)",
                project,
                version,
                at.atOffset(java.time.ZoneOffset.UTC));
    }

    @Test
    void aDeletedProjectComesBackForAMonthAndThenGoesWhole() {
        String address = project("Gone soon", "Words that go.");
        UUID project = id(address);
        server.post(address + "/delete", Map.of());
        assertThat(server.get("/").body()).contains("Gone soon").contains("Restore Gone soon");
        jdbc.update("update project set deleted_at = ? where id = ?", at(Duration.ofDays(29)), project);
        upkeep.run(clock.instant());
        server.post(address + "/restore", Map.of());
        assertThat(server.get(address + "/write").statusCode()).isEqualTo(200);
        server.post(address + "/delete", Map.of());
        jdbc.update("update project set deleted_at = ? where id = ?", at(Duration.ofDays(31)), project);
        upkeep.run(clock.instant());
        assertThat(count("select count(*) from project where id = ?", project)).isZero();
        assertThat(count("select count(*) from cue where project_id = ?", project))
                .isZero();
        assertThat(count("select count(*) from script_version where project_id = ?", project))
                .isZero();
    }

    private java.time.OffsetDateTime at(Duration ago) {
        return clock.instant().minus(ago).atOffset(java.time.ZoneOffset.UTC);
    }

    @Test
    void anAuditionGoesAMonthAfterItWasHeardLastAndATakeStays() {
        String address = project("Auditioned", "A line for a trial, and no take of it.");
        String line = server.asked(address + "/cast/audition?role=Narrator&voice=isla")
                .get("sound")
                .asString();
        String recipe = line.replaceAll(".*/lines/(.*)\\.wav", "$1");
        String there = "select count(*) from speech where recipe = ?";
        upkeep.run(in(Duration.ofDays(29)));
        assertThat(count(there, recipe)).isEqualTo(1);
        assertThat(server.bytes(line).length).isGreaterThan(10_000);
        upkeep.run(in(Duration.ofDays(30).plusMinutes(1)));
        assertThat(count(there, recipe)).isZero();
        assertThat(server.get(line).statusCode()).isEqualTo(404);
    }

    @Test
    @ResourceLock("upkeep")
    void thePageSaysWhatThereIsWhenItGoesAndRunsIt() {
        String page = server.get("/storage").body();
        assertThat(page)
                .contains("Takes", "Versions of scripts", "Deliveries", "Answers of hired voices", "Deleted projects")
                .contains("Kept: they were paid for.");
        int before = count("select count(*) from upkeep_report");
        assertThat(server.post("/storage/upkeep", Map.of()).statusCode()).isEqualTo(200);
        await("the upkeep has run", () -> count("select count(*) from upkeep_report") > before);
        assertThat(server.get("/storage/now").body()).contains("Taken away");
    }

    @Test
    void sizesAreReadable() {
        assertThat(List.of(FileSize.of(0), FileSize.of(1_499), FileSize.of(41_230_000), FileSize.of(2_500_000_000L)))
                .containsExactly("0 kB", "1.5 kB", "41.2 MB", "2.50 GB");
    }
}
