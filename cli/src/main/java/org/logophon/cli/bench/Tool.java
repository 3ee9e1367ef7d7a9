package org.logophon.cli.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.logophon.cli.input.InputUnusable;

/** Runs public tools as processes. */
final class Tool {

    private Tool() {}

    static void run(List<String> command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (process.waitFor() != 0) {
            throw new InputUnusable("The tool " + command.get(0)
                    + " failed in the bench. See that it is installed and can write to the temporary folder.");
        }
    }

    /** Seconds for all of the work, as many at once as there are cores. */
    static double seconds(List<Callable<Void>> work) throws Exception {
        ExecutorService cores =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            long start = System.nanoTime();
            List<Future<Void>> running = new ArrayList<>();
            for (Callable<Void> one : work) {
                running.add(cores.submit(one));
            }
            for (Future<Void> one : running) {
                one.get();
            }
            return (System.nanoTime() - start) / 1e9;
        } finally {
            cores.shutdownNow();
        }
    }

    static String path(Path folder, String name) {
        return folder.resolve(name).toString();
    }
}
