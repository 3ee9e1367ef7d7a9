package org.logophon.app.services.live;

import java.io.IOException;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.logophon.app.platform.failure.DatabaseAway;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.node.DatabaseSilent;
import org.logophon.app.services.live.Change.Kind;
import org.logophon.app.services.rendering.ProgrammeReader;
import org.logophon.app.services.rendering.ProgrammeReader.Answer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The streams of open pages. Changes of a project are gathered for a moment and told together, and while they go on, in
 * steps of more than half a second: however many cues are rendered, a page is told, and asks, no more often. What the
 * programme has become is worked out once for all pages of a project, and only the cues that differ are sent.
 */
@Component
public class LiveStreams {

    private static final Logger LOG = LoggerFactory.getLogger(LiveStreams.class);
    private static final long GATHERED_MILLIS = 40;
    /** A hand's changes are told at once; only what goes on and on is told once in so long. */
    private static final long APART_MILLIS = 600;

    private static final int AT_ONCE = 8;
    private static final long HEARTBEAT_SECONDS = 15;
    /** Several: a reader who takes nothing more holds up one of them until its connection breaks. */
    private static final int TELLERS = 4;
    /** For pages that show all projects. */
    private static final UUID SHELF = new UUID(0, 0);

    private final ProgrammeReader programmes;
    private volatile Away away = new Away("");
    private final Map<UUID, Audience> audiences = new ConcurrentHashMap<>();
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(TELLERS, LiveStreams::thread);
    /** Tells what is told when all others wait for the database. */
    private final ExecutorService herald = Executors.newSingleThreadExecutor(LiveStreams::thread);

    LiveStreams(ProgrammeReader programmes) {
        this.programmes = programmes;
        clock.scheduleAtFixedRate(this::beat, HEARTBEAT_SECONDS, HEARTBEAT_SECONDS, TimeUnit.SECONDS);
    }

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "live-streams");
        thread.setDaemon(true);
        return thread;
    }

    /** Pages of one project, or of the shelf, and what they haven't been told yet. */
    private static final class Audience {

        final List<SseEmitter> pages = new CopyOnWriteArrayList<>();
        final Set<Kind> untold = EnumSet.noneOf(Kind.class);
        /** It will be told, or is being told. */
        boolean due;

        long toldAt;
        double credit = AT_ONCE;
        Answer told;

        /** How long to wait until the next telling. */
        long untilNext(long now) {
            credit = Math.min(AT_ONCE, credit + (now - toldAt) / (double) APART_MILLIS);
            return credit >= 1 ? GATHERED_MILLIS : Math.max(GATHERED_MILLIS, APART_MILLIS - (now - toldAt));
        }

        void spend(long now) {
            credit = Math.max(0, credit - 1);
            toldAt = now;
        }
    }

    /** The first that a page is told. @param stamp of the programme as it is */
    record Hello(String stamp) {}

    /** @param sentence what to say for as long as the database is silent; empty when it answers again */
    record Away(String sentence) {}

    /** A message to a page. @param kinds of changes @param programme what differs in it; null when nothing does */
    record Told(List<String> kinds, ProgrammeDelta programme) {}

    /** @param project null for the shelf */
    SseEmitter open(UUID project) {
        SseEmitter page = new SseEmitter(0L);
        UUID key = project == null ? SHELF : project;
        // in one step: the last page of an audience that leaves takes the audience with it
        audiences.compute(key, (id, there) -> {
            Audience audience = there == null ? new Audience() : there;
            audience.pages.add(page);
            return audience;
        });
        Runnable gone = () -> leave(key, page);
        page.onCompletion(gone);
        page.onTimeout(gone);
        page.onError(error -> gone.run());
        // a page that was away compares what it has with this
        send(key, page, "hello", new Hello(project == null ? "" : programmes.stamp(project)));
        if (!away.sentence().isEmpty()) {
            send(key, page, "away", away);
        }
        return page;
    }

    private void leave(UUID key, SseEmitter page) {
        audiences.computeIfPresent(key, (id, audience) -> {
            audience.pages.remove(page);
            return audience.pages.isEmpty() ? null : audience;
        });
    }

    void changed(Change change) {
        if (change.kind() == Kind.PEOPLE) {
            // whoever may still hear comes again, and is asked who they are
            audiences.values().forEach(audience -> audience.pages.forEach(SseEmitter::complete));
            return;
        }
        if (change.project() == null) {
            audiences.keySet().forEach(key -> note(key, change.kind()));
            return;
        }
        note(change.project(), change.kind());
        if (change.kind() != Kind.HERE) {
            note(SHELF, change.kind());
        }
    }

    /** Told after a break in what the database tells: any of it may have changed. */
    void lookAgain() {
        for (Kind kind : Kind.values()) {
            audiences.keySet().forEach(key -> note(key, kind));
        }
    }

    @EventListener
    void silent(DatabaseSilent database) {
        away = new Away(database.now() ? DatabaseAway.ON_A_PAGE : "");
        Away now = away;
        herald.execute(() ->
                audiences.forEach((key, audience) -> audience.pages.forEach(page -> send(key, page, "away", now))));
    }

    private void note(UUID key, Kind kind) {
        Audience audience = audiences.get(key);
        if (audience == null) {
            return;
        }
        synchronized (audience) {
            audience.untold.add(kind);
            if (!audience.due) {
                schedule(key, audience);
            }
        }
    }

    private void schedule(UUID key, Audience audience) {
        audience.due = true;
        long wait = audience.untilNext(System.nanoTime() / 1_000_000);
        clock.schedule(() -> tell(key, audience), wait, TimeUnit.MILLISECONDS);
    }

    private void tell(UUID key, Audience audience) {
        List<String> kinds;
        synchronized (audience) {
            kinds = audience.untold.stream().map(Kind::id).toList();
            audience.untold.clear();
            audience.spend(System.nanoTime() / 1_000_000);
        }
        try {
            // who comes and goes, and what is told, changes nothing of the programme
            boolean alone = Set.of(Kind.HERE.id(), Kind.TIDINGS.id()).containsAll(kinds);
            Told told = new Told(kinds, key.equals(SHELF) || alone ? null : delta(key, audience));
            audience.pages.forEach(page -> send(key, page, "changed", told));
        } catch (NotFound deleted) {
            audience.pages.forEach(page -> send(key, page, "gone", new Hello("")));
        } catch (RuntimeException failed) {
            if (!DatabaseAway.is(failed)) {
                LOG.error("Pages of {} can't be told of a change", key, failed);
            }
            audience.pages.forEach(page -> send(key, page, "changed", new Told(kinds, ProgrammeDelta.ALL)));
        } finally {
            // one telling after the other, or pages would hear of an older state last
            synchronized (audience) {
                audience.due = false;
                if (!audience.untold.isEmpty()) {
                    schedule(key, audience);
                }
            }
        }
    }

    private ProgrammeDelta delta(UUID project, Audience audience) {
        Answer now = programmes.of(project);
        ProgrammeDelta delta = ProgrammeDelta.between(audience.told, now);
        audience.told = now;
        return delta;
    }

    private void beat() {
        audiences.forEach((key, audience) -> audience.pages.forEach(page -> {
            try {
                page.send(SseEmitter.event().comment(""));
            } catch (IOException | IllegalStateException left) {
                leave(key, page);
            }
        }));
    }

    private void send(UUID key, SseEmitter page, String event, Object data) {
        try {
            page.send(SseEmitter.event().name(event).data(Objects.requireNonNull(data), MediaType.APPLICATION_JSON));
        } catch (IOException | IllegalStateException left) {
            // whoever closes a page while it is told something is just gone
            leave(key, page);
        }
    }

    /** Streams would hold a graceful stop up for as long as it waits. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        clock.shutdownNow();
        herald.shutdownNow();
        audiences.values().forEach(audience -> audience.pages.forEach(SseEmitter::complete));
    }
}
