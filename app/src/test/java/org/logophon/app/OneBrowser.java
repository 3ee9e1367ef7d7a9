package org.logophon.app;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.springframework.util.FileSystemUtils;

/**
 * Debian's Chromium, one process for all tests: each thread has a driver of its own, which opens windows in it that know
 * nothing of one another. It ends with the tests.
 */
final class OneBrowser {

    private static final List<String> COMMAND = List.of(
            "/usr/bin/chromium-headless-shell",
            "--headless",
            "--remote-debugging-port=0",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            // windows that lie behind others are looked at as much as the one in front
            "--disable-renderer-backgrounding",
            "--disable-background-timer-throttling",
            "--disable-backgrounding-occluded-windows");
    private static final String LISTENING = "DevTools listening on ";

    /** What its microphone hears, from the moment at which a page opens it; a test writes it. */
    static final Path MICROPHONE = microphone();

    private static final String ADDRESS = start();

    private static final ThreadLocal<Browser> OF_THREAD = ThreadLocal.withInitial(OneBrowser::connect);

    private static final ThreadLocal<BrowserContext> WINDOWS = ThreadLocal.withInitial(() -> {
        BrowserContext windows = get().newContext(
                        new Browser.NewContextOptions().setViewportSize(BrowserTest.WIDTH, BrowserTest.HEIGHT));
        windows.setDefaultTimeout(90_000);
        return windows;
    });

    private OneBrowser() {}

    /** Windows of this thread, which keep what they have fetched of scripts and styles from test to test, and nothing else. */
    static BrowserContext windows() {
        return WINDOWS.get();
    }

    /** Closes the windows of this thread and forgets what a test left in them. @param address of the application */
    static void forget(String address) {
        BrowserContext windows = windows();
        Page last = windows.newPage();
        JsonObject all = new JsonObject();
        all.addProperty("origin", address);
        all.addProperty("storageTypes", "cookies,local_storage,indexeddb,websql,file_systems,service_workers");
        windows.pages().stream().filter(page -> page != last).forEach(Page::close);
        windows.newCDPSession(last).send("Storage.clearDataForOrigin", all);
        windows.clearCookies();
        windows.clearPermissions();
        windows.unrouteAll();
        last.close();
    }

    /** As this thread drives it. */
    static Browser get() {
        return OF_THREAD.get();
    }

    private static Path microphone() {
        try {
            Path file = Files.createTempFile("logophon-microphone", ".wav");
            file.toFile().deleteOnExit();
            return file;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Browser connect() {
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        BrowserType chromium = playwright.chromium();
        return chromium.connectOverCDP(ADDRESS);
    }

    private static String start() {
        try {
            Path profile = Files.createTempDirectory("logophon-browser");
            List<String> command = new java.util.ArrayList<>(COMMAND);
            command.add("--user-data-dir=" + profile);
            command.add("--use-fake-ui-for-media-stream");
            command.add("--use-fake-device-for-media-stream");
            command.add("--use-file-for-fake-audio-capture=" + MICROPHONE + "%noloop");
            Process process = new ProcessBuilder(command)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> end(process, profile)));
            BufferedReader said = process.errorReader(StandardCharsets.UTF_8);
            StringBuilder words = new StringBuilder();
            for (String line = said.readLine(); line != null; line = said.readLine()) {
                if (line.startsWith(LISTENING)) {
                    Thread rest = new Thread(() -> said.lines().forEach(unheard -> {}), "browser-words");
                    rest.setDaemon(true);
                    rest.start();
                    return line.substring(LISTENING.length());
                }
                words.append(line).append('\n');
            }
            throw new AssertionError("Chromium can't start: " + words);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void end(Process process, Path profile) {
        // what Debian starts is a script, which has the browser as its child
        process.descendants().forEach(ProcessHandle::destroy);
        process.destroy();
        try {
            process.waitFor();
            FileSystemUtils.deleteRecursively(profile);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException stays) {
            System.err.println("The browser's folder stays: " + stays.getMessage());
        }
    }
}
