package org.logophon.app.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/**
 * What only a real browser can measure. Run by {@code ./logophon bench} against a running application; writes its rows
 * as JSON.
 */
public final class BrowserBench {

    /** As the bench of the command line reads it. */
    record Row(String what, String against, double ours, double theirs, String unit, double wanted) {}

    private BrowserBench() {}

    /** @param args the application's address, and the file to write to */
    public static void main(String[] args) throws IOException {
        try (Playwright playwright = Playwright.create();
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                                .setArgs(
                                        List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")))) {
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.setDefaultTimeout(120_000);
            List<Row> rows = new ArrayList<>(TypingBench.run(page, args[0]));
            rows.addAll(ScrollBench.run(page));
            Files.writeString(Path.of(args[1]), JsonMapper.builder().build().writeValueAsString(rows));
        }
    }
}
