package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Whether a page is accessible (WCAG 2.2 AA), as far as axe-core can tell. */
final class Accessible {

    private static final String AXE = axe();

    /** Only what is wrong is worked out to its end and sent here, which is most of the work. */
    private static final String VIOLATIONS = """
            async tags => {
              const { violations } = await axe.run({ runOnly: { type: 'tag', values: tags }, resultTypes: ['violations'] });
              return violations.map(({ id, nodes }) => `${id}: ${nodes.map(node => `${node.html} ${node.failureSummary}`).join(' | ')}`);
            }""";

    private Accessible() {}

    private static String axe() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(script.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void check(Page page) {
        if (Boolean.FALSE.equals(page.evaluate("() => 'axe' in window"))) {
            page.evaluate(AXE);
        }
        assertThat((List<?>) page.evaluate(VIOLATIONS, List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")))
                .as(page.url())
                .isEmpty();
    }
}
