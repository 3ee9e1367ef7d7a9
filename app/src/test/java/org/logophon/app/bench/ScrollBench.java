package org.logophon.app.bench;

import com.microsoft.playwright.Page;
import java.util.List;

/** The timeline of 2,000 cues while it is scrolled: how long a frame takes. */
final class ScrollBench {

    private static final int WIDER = 14;
    /** A frame of sixty a second, and as much as a clock of milliseconds is off. */
    private static final double FRAME_SECONDS = 1 / 60.0 + 0.0005;

    /** Mean seconds from frame to frame over three seconds, twenty pixels a frame. */
    private static final String SCROLLED = """
            async () => {
              const box = document.getElementById('ruled');
              const frame = () => new Promise(requestAnimationFrame);
              for (let i = 0; i < 20; i++) await frame();
              const began = await frame();
              let frames = 0;
              let now = began;
              while (now - began < 3000) { box.scrollLeft += 20; now = await frame(); frames++; }
              return (now - began) / 1000 / frames;
            }""";

    private ScrollBench() {}

    /** @param page on a step of the project */
    static List<BrowserBench.Row> run(Page page) {
        page.navigate(page.url().replaceAll("/[a-z]+([?#].*)?$", "/place"));
        page.waitForSelector("#ruled .clip");
        for (int i = 0; i < WIDER; i++) {
            page.locator("[data-zoom='1']").click();
        }
        double best = Double.MAX_VALUE;
        for (int i = 0; i < 3; i++) {
            best = Math.min(best, ((Number) page.evaluate(SCROLLED)).doubleValue());
        }
        System.err.printf("Timeline: %.1f frames a second%n", 1 / best);
        return List.of(new BrowserBench.Row(
                "a frame while the timeline of 2,000 cues is scrolled", "60 a second", best, FRAME_SECONDS, "s", 1));
    }
}
