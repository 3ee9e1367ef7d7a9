package org.logophon.cli.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Predicate;
import org.logophon.cli.input.InputUnusable;
import tools.jackson.databind.JsonNode;

/**
 * A running application and many people at once, each with projects of their own and a page open on one of them: they
 * write, set marks, look at every step, have proof read, render and play takes, with a pause after each. At the end
 * every script is held against what its writer wrote last, and the memory of the server against what it may have.
 */
final class LoadBench {

    private static final int PEOPLE = 50;
    private static final int PROJECTS = 100;
    private static final int CUES = 40;
    /** Before it counts: a server that people use has been used before. */
    private static final int WARMING_SECONDS = 40;

    private static final int LONGEST_PAUSE_MILLIS = 2_000;
    private static final double PAGE_SECONDS = 0.3;
    private static final double SAVE_SECONDS = 0.15;
    private static final double HEAP_MEGABYTES = 512;
    /** The same people and choices in each run. */
    private static final long SEED = 12;

    /** What people do, and how often of a hundred times. */
    enum Action {
        SAVE(30),
        MARK(8),
        SHELF(7),
        WRITE(8),
        CAST(9),
        DIRECT(12),
        LISTEN(5),
        DELIVER(4),
        PROOF(9),
        PLAY(5),
        RENDER(3);

        private final int ofHundred;

        Action(int ofHundred) {
            this.ofHundred = ofHundred;
        }

        /** A request that changes something, and is over when it is kept. */
        boolean changes() {
            return this == SAVE || this == MARK;
        }

        static Action at(int place) {
            int left = place;
            for (Action action : values()) {
                left -= action.ofHundred;
                if (left < 0) {
                    return action;
                }
            }
            throw new IllegalArgumentException("Of a hundred places there is none at " + place);
        }
    }

    private record Took(Action action, double seconds) {}

    private final String address;

    private final int seconds;

    /** @param seconds for how long it counts */
    LoadBench(String address, int seconds) {
        this.address = address;
        this.seconds = seconds;
    }

    /** A row for each thing that people do, the 95th of a hundred. */
    List<BenchResult> run() throws Exception {
        List<List<Took>> all;
        ExecutorService crowd = Executors.newFixedThreadPool(PEOPLE);
        List<Person> people = new ArrayList<>();
        try {
            for (int i = 0; i < PEOPLE; i++) {
                people.add(new Person(i));
            }
            for (Future<Void> made :
                    crowd.invokeAll(people.stream().map(Person::arriving).toList())) {
                made.get();
            }
            together(crowd, people, WARMING_SECONDS);
            all = together(crowd, people, seconds);
            for (Person person : people) {
                person.compare();
            }
        } finally {
            people.forEach(Person::leave);
            crowd.shutdownNow();
        }
        List<BenchResult> rows = new ArrayList<>();
        rows.add(row("any page", of(all, action -> !action.changes()), PAGE_SECONDS));
        rows.add(row("any change", of(all, Action::changes), SAVE_SECONDS));
        for (Action action : Action.values()) {
            rows.add(row(
                    action.name().toLowerCase(Locale.ROOT),
                    of(all, action::equals),
                    action.changes() ? SAVE_SECONDS : PAGE_SECONDS));
        }
        rows.add(heap());
        return rows;
    }

    private static double[] of(List<List<Took>> all, Predicate<Action> which) {
        return all.stream()
                .flatMap(List::stream)
                .filter(took -> which.test(took.action()))
                .mapToDouble(Took::seconds)
                .sorted()
                .toArray();
    }

    /** What the server's heap has in use, by its own metrics. */
    private BenchResult heap() throws Exception {
        double bytes = new BenchServer(address)
                .send("GET", "/actuator/prometheus", null, null)
                .body()
                .lines()
                .filter(line -> line.startsWith("jvm_memory_used_bytes") && line.contains("area=\"heap\""))
                .mapToDouble(line -> Double.parseDouble(line.substring(line.lastIndexOf(' '))))
                .sum();
        return new BenchResult("heap in use afterwards", "512 MB", bytes / (1 << 20), HEAP_MEGABYTES, "MB", 1);
    }

    private static List<List<Took>> together(ExecutorService crowd, List<Person> people, int seconds) throws Exception {
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        List<List<Took>> all = new ArrayList<>();
        for (Future<List<Took>> took :
                crowd.invokeAll(people.stream().map(person -> person.until(end)).toList())) {
            all.add(took.get());
        }
        return all;
    }

    private static BenchResult row(String what, double[] times, double budget) {
        return new BenchResult(
                "%d people, %s, 95th of %,d (median %.0f ms)"
                        .formatted(PEOPLE, what, times.length, 1_000 * times[times.length / 2]),
                budget + " s",
                times[(int) (0.95 * (times.length - 1))],
                budget,
                "s",
                1);
    }

    /** Somebody with a browser and projects of their own. */
    private final class Person {

        private final BenchServer server = new BenchServer(address);
        private final Random random;
        private final int number;
        private final List<Written> projects = new ArrayList<>();
        private BenchServer.Events page;

        Person(int number) {
            this.number = number;
            this.random = new Random(SEED + number);
        }

        /** A project as its writer knows it. */
        private static final class Written {
            private final String address;
            private final List<String> cues;
            private String text;
            private int version;

            Written(String address, List<String> cues, String text, int version) {
                this.address = address;
                this.cues = cues;
                this.text = text;
                this.version = version;
            }
        }

        Callable<Void> arriving() {
            return () -> {
                for (int i = number; i < PROJECTS; i += PEOPLE) {
                    String project = server.project("Load" + i);
                    StringBuilder script = new StringBuilder();
                    for (int cue = 0; cue < CUES; cue++) {
                        script.append("On night ")
                                .append(cue)
                                .append(" of watch ")
                                .append(i);
                        script.append(" the keeper wrote 4:52 for the lamp, and 12 W for the wind.\n\n");
                    }
                    int version = server.save(project, script.toString(), 0);
                    List<String> cues = new ArrayList<>();
                    server.json(project + "/programme")
                            .get("cues")
                            .forEach(cue -> cues.add(cue.get("id").asString()));
                    projects.add(new Written(project, cues, script.toString(), version));
                }
                page = server.events(projects.get(0).address + "/events");
                Thread follows = new Thread(page::toTheEnd, "page of " + number);
                follows.setDaemon(true);
                follows.start();
                return null;
            };
        }

        Callable<List<Took>> until(long end) {
            return () -> {
                List<Took> took = new ArrayList<>();
                while (System.nanoTime() < end) {
                    Action action = Action.at(random.nextInt(100));
                    Written project = projects.get(random.nextInt(projects.size()));
                    long start = System.nanoTime();
                    act(action, project);
                    took.add(new Took(action, (System.nanoTime() - start) / 1e9));
                    Thread.sleep(random.nextInt(LONGEST_PAUSE_MILLIS));
                }
                return took;
            };
        }

        /** Nothing of what somebody wrote is lost. */
        void compare() throws Exception {
            for (Written project : projects) {
                String kept = server.json(project.address + "/script?text=true")
                        .get("text")
                        .asString();
                if (!kept.equals(project.text)) {
                    throw new InputUnusable("A script of the bench is not what was written last: " + project.address);
                }
            }
        }

        void leave() {
            if (page != null) {
                page.close();
            }
        }

        private void act(Action action, Written project) throws Exception {
            switch (action) {
                case SAVE -> {
                    int cue = random.nextInt(CUES);
                    project.text = project.text.replaceFirst(
                            "On night " + cue + "\\w* of",
                            "On night " + cue + (char) ('a' + random.nextInt(26)) + " of");
                    project.version = server.save(project.address, project.text, project.version);
                }
                case MARK -> {
                    int at = project.text.split("\n\n")[0].indexOf("keeper");
                    server.send(
                            "POST",
                            project.address + "/cues/" + project.cues.get(0) + "/marks",
                            "start=" + at + "&end=" + (at + "keeper".length()) + "&kind=pace&value="
                                    + (80 + random.nextInt(40)),
                            "application/x-www-form-urlencoded");
                }
                case SHELF -> server.send("GET", "/", null, null);
                case PLAY -> play(project);
                case RENDER ->
                    server.send(
                            "POST",
                            project.address + "/cues/" + project.cues.get(random.nextInt(CUES)) + "/render",
                            "",
                            "application/x-www-form-urlencoded");
                default ->
                    server.send("GET", project.address + "/" + action.name().toLowerCase(Locale.ROOT), null, null);
            }
        }

        /** The programme, and the sound of a cue that has one. */
        private void play(Written project) throws Exception {
            for (JsonNode cue : server.json(project.address + "/programme").get("cues")) {
                if (cue.get("state").asString().equals("ready")) {
                    server.send("GET", cue.get("sound").asString(), null, null);
                    return;
                }
            }
        }
    }
}
