package org.logophon.cli.bench;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.logophon.cli.InputUnusable;
import tools.jackson.databind.JsonNode;

/**
 * A running application and many people at once, each with projects of their own: they write, look at every step, have
 * proof read and play takes, with a short pause after each. At the end every script is held against what its writer wrote
 * last.
 */
final class LoadBench {

    private static final int PEOPLE = 20;
    private static final int PROJECTS = 76;
    private static final int CUES = 40;
    private static final int SECONDS = 60;
    /** Before it counts: a server that people use has been used before. */
    private static final int WARMING_SECONDS = 40;

    private static final int LONGEST_PAUSE_MILLIS = 1_000;
    private static final double BUDGET_SECONDS = 0.5;
    /** The same people and choices in each run. */
    private static final long SEED = 12;

    /** What people do, and how often of a hundred times. */
    enum Action {
        SAVE(35),
        SHELF(8),
        WRITE(8),
        CAST(12),
        DIRECT(14),
        DELIVER(5),
        PROOF(12),
        PLAY(4),
        RENDER(2);

        private final int ofHundred;

        Action(int ofHundred) {
            this.ofHundred = ofHundred;
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

    LoadBench(String address) {
        this.address = address;
    }

    /** A row for each thing that people do, the 95th of a hundred. */
    List<BenchResult> run() throws Exception {
        List<List<Took>> all = new ArrayList<>();
        ExecutorService crowd = Executors.newFixedThreadPool(PEOPLE);
        try {
            List<Person> people = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                people.add(new Person(i));
            }
            for (Future<Void> made :
                    crowd.invokeAll(people.stream().map(Person::arriving).toList())) {
                made.get();
            }
            long end = System.nanoTime() + SECONDS * 1_000_000_000L;
            for (Future<List<Took>> took : crowd.invokeAll(
                    people.stream().map(person -> person.until(end)).toList())) {
                all.add(took.get());
            }
        } finally {
            crowd.shutdownNow();
        }
        Map<Action, double[]> times = new EnumMap<>(Action.class);
        for (Action action : Action.values()) {
            times.put(action, seconds(all.stream().flatMap(List::stream).filter(took -> took.action() == action)));
        }
        List<BenchResult> rows = new ArrayList<>();
        rows.add(row("anything", seconds(all.stream().flatMap(List::stream))));
        times.forEach((action, some) -> rows.add(row(action.name().toLowerCase(java.util.Locale.ROOT), some)));
        return rows;
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

    private static double[] seconds(Stream<Took> some) {
        return some.mapToDouble(Took::seconds).sorted().toArray();
    }

    private static BenchResult row(String what, double[] times) {
        return new BenchResult(
                "%d people, %s, 95th of %,d (median %.0f ms)"
                        .formatted(PEOPLE, what, times.length, 1_000 * times[times.length / 2]),
                "0.5 s",
                times[(int) (0.95 * (times.length - 1))],
                BUDGET_SECONDS,
                "s",
                1);
    }

    /** Somebody with a browser and projects of their own. */
    private final class Person {

        private final BenchServer server = new BenchServer(address);
        private final Random random;
        private final int number;
        private final List<Written> projects = new ArrayList<>();

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
                for (Written project : projects) {
                    String kept = server.json(project.address + "/script?text=true")
                            .get("text")
                            .asString();
                    if (!kept.equals(project.text)) {
                        throw new InputUnusable(
                                "A script of the bench is not what was written last: " + project.address);
                    }
                }
                return took;
            };
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
                case SHELF -> server.send("GET", "/", null, null);
                case PLAY -> play(project);
                case RENDER ->
                    server.send(
                            "POST",
                            project.address + "/cues/" + project.cues.get(random.nextInt(CUES)) + "/render",
                            "",
                            "application/x-www-form-urlencoded");
                default ->
                    server.send(
                            "GET",
                            project.address + "/" + action.name().toLowerCase(java.util.Locale.ROOT),
                            null,
                            null);
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
