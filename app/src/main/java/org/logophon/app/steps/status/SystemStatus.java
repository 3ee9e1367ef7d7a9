package org.logophon.app.steps.status;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.platform.node.Nodes;
import org.logophon.app.services.page.Ago;
import org.logophon.app.services.page.FileSize;
import org.logophon.app.services.rendering.RenderMeter;
import org.logophon.speech.WorkerPool;
import org.springframework.stereotype.Component;

/** The state of the house in words: the same figures that programs watch. */
@Component
class SystemStatus {

    /** More of its memory than that, and the next long script may end it. */
    private static final double MUCH = 0.9;

    private static final double LONG_WAIT_SECONDS = 60;

    private final JobsTable jobs;
    private final Nodes nodes;
    private final WorkerPool workers;
    private final DiskRoom disk;
    private final MeterRegistry meters;
    private final RenderMeter renders;
    private final Clock clock;
    private final Instant since;

    SystemStatus(
            JobsTable jobs,
            Nodes nodes,
            WorkerPool workers,
            DiskRoom disk,
            MeterRegistry meters,
            RenderMeter renders,
            Clock clock) {
        this.jobs = jobs;
        this.nodes = nodes;
        this.workers = workers;
        this.disk = disk;
        this.meters = meters;
        this.renders = renders;
        this.clock = clock;
        this.since = clock.instant();
    }

    /** @param amber true where somebody should look */
    public record StatusLine(String what, String is, boolean amber) {}

    List<StatusLine> lines() {
        Instant now = clock.instant();
        JobsTable.Jobs waiting = jobs.now();
        double oldest = waiting.oldestSeconds(now);
        List<StatusLine> lines = new ArrayList<>();
        lines.add(new StatusLine("This server", "began " + Ago.of(since, now), false));
        List<Nodes.Node> there = nodes.there();
        lines.add(new StatusLine(
                "All servers",
                there.stream()
                        .map(one -> one.name() + (one.pages() ? "" : ", renders only"))
                        .collect(Collectors.joining("; ")),
                false));
        lines.add(new StatusLine(
                "Work",
                waiting.waiting() == 0 && waiting.running() == 0
                        ? "no jobs waiting"
                        : "%,d cues and jobs waiting, the oldest for %.0f s; %,d running on all servers"
                                .formatted(waiting.waiting(), oldest, waiting.running()),
                oldest > LONG_WAIT_SECONDS));
        if (waiting.later() > 0) {
            lines.add(new StatusLine("Retries", "%,d failed jobs will be retried".formatted(waiting.later()), true));
        }
        lines.add(new StatusLine("Workers", count(workers.pids().size(), "speech worker", "speech workers"), false));
        double waitedFor = gauge("hikaricp.connections.pending");
        lines.add(new StatusLine(
                "Database",
                "%.0f of %.0f connections in use, %.0f waiting"
                        .formatted(gauge("hikaricp.connections.active"), gauge("hikaricp.connections.max"), waitedFor),
                waitedFor > 0));
        Runtime java = Runtime.getRuntime();
        long used = java.totalMemory() - java.freeMemory();
        lines.add(new StatusLine(
                "Memory", FileSize.of(used) + " of " + FileSize.of(java.maxMemory()), used > MUCH * java.maxMemory()));
        lines.add(new StatusLine("Disk", FileSize.of(disk.freeBytes()) + " free", disk.little() || disk.full()));
        lines.add(requests());
        return lines;
    }

    private double gauge(String name) {
        return meters.find(name).gauges().stream().mapToDouble(Gauge::value).sum();
    }

    private StatusLine requests() {
        // who watches is told that a server isn't ready yet, which is no failure; a stream lasts as long as its page is
        // seen
        List<Timer> timers = meters.find("http.server.requests").timers().stream()
                .filter(timer -> {
                    String uri = Objects.requireNonNullElse(timer.getId().getTag("uri"), "");
                    return !uri.startsWith("/actuator") && !uri.endsWith("/events");
                })
                .toList();
        long count = timers.stream().mapToLong(Timer::count).sum();
        double millis = timers.stream()
                .mapToDouble(timer -> timer.totalTime(TimeUnit.MILLISECONDS))
                .sum();
        double slowest = timers.stream()
                .mapToDouble(timer -> timer.max(TimeUnit.MILLISECONDS))
                .max()
                .orElse(0);
        long failed = timers.stream()
                .filter(timer -> "SERVER_ERROR".equals(timer.getId().getTag("outcome")))
                .mapToLong(Timer::count)
                .sum();
        return new StatusLine(
                "Answers",
                count == 0
                        ? "none yet"
                        : "%,d, mean %.0f ms; slowest recently %.0f ms%s"
                                .formatted(
                                        count,
                                        millis / count,
                                        slowest,
                                        failed == 0 ? "" : "; %,d that failed".formatted(failed)),
                failed > 0);
    }

    private static String count(int count, String one, String more) {
        return count == 0 ? "none needed now" : count + " " + (count == 1 ? one : more);
    }

    /** @param each seconds, on the whole */
    public record EngineLine(String engine, long made, String each, String slowest, long failed) {}

    List<EngineLine> engines() {
        return renders.engines().stream()
                .map(engine -> new EngineLine(
                        engine.engine(),
                        engine.made(),
                        seconds(engine.made() == 0 ? 0 : engine.seconds() / engine.made()),
                        seconds(engine.slowest()),
                        engine.failed()))
                .toList();
    }

    private static String seconds(double seconds) {
        return String.format(Locale.ROOT, "%.2f s", seconds);
    }
}
