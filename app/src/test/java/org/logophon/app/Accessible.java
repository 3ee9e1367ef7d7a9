package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.List;

/** Whether a page is accessible (WCAG 2.2 AA), as far as axe-core can tell. */
final class Accessible {

    private Accessible() {}

    static void check(Page page) {
        List<Rule> violations = new AxeBuilder(page)
                .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                .analyze()
                .getViolations();
        assertThat(violations.stream()
                        .map(v -> v.getId() + ": "
                                + v.getNodes().stream()
                                        .map(n -> n.getHtml() + " " + n.getFailureSummary())
                                        .toList()))
                .as(page.url())
                .isEmpty();
    }
}
