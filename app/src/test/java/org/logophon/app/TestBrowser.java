package org.logophon.app;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.ReducedMotion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/**
 * Debian's Chromium, one for each thread that drives it, and driven by a pipe: a connection over the network would pack
 * every message and unpack it again, which was a third of the work. It ends with the tests.
 */
final class TestBrowser {

    private static final Path PROGRAM = Path.of("/usr/bin/chromium-headless-shell");

    /** What its microphone hears, from the moment at which a page opens it; a test writes it. */
    static final Path MICROPHONE = microphone();

    private static final List<String> ARGUMENTS = List.of(
            "--disable-gpu",
            "--disable-quic",
            "--disable-sync",
            "--use-fake-ui-for-media-stream",
            "--use-fake-device-for-media-stream",
            "--use-file-for-fake-audio-capture=" + MICROPHONE + "%noloop");

    private static final ThreadLocal<Browser> OF_THREAD = ThreadLocal.withInitial(TestBrowser::launch);

    private static final ThreadLocal<BrowserContext> WINDOWS = ThreadLocal.withInitial(() -> {
        BrowserContext windows = get().newContext(new Browser.NewContextOptions()
                .setViewportSize(BrowserTest.WIDTH, BrowserTest.HEIGHT)
                // nobody looks: a quarter of the points is drawn, and nothing glides
                .setDeviceScaleFactor(0.5)
                .setReducedMotion(ReducedMotion.REDUCE));
        windows.setDefaultTimeout(180_000);
        return windows;
    });

    private TestBrowser() {}

    /**
     * Windows of this thread, which keep what they have fetched of scripts and styles from test to test, and nothing
     * else.
     */
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

    private static Browser launch() {
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(PROGRAM)
                        .setChromiumSandbox(false)
                        .setArgs(ARGUMENTS));
    }
}
