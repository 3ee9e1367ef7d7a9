package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Whether a page is accessible (WCAG 2.2 AA), as far as axe-core can tell. What a page of the same kind has shown at
 * the same place, in the same state, isn't looked at again: most of the tests' work in the browser was that.
 */
final class Accessible {

    private static final String AXE = axe();

    /** What was looked at, by the kind of page. */
    private static final Map<String, Set<String>> LOOKED_AT = new ConcurrentHashMap<>();

    /**
     * An element is known by its tag and attributes and by those it stands in; of texts it only matters whether there
     * is one. Only what is wrong is worked out to its end.
     */
    private static final String CHECK = """
            async ([tags, before]) => {
              // the dark page differs in its colours alone
              const dark = document.documentElement.dataset.bsTheme === 'dark';
              const known = new Set(before.split(' '));
              const fresh = [];
              const include = [];
              const unlike = /^(id|for|href|src|value|name|style|d|c?[xyr][12]?|width|height|points|transform|viewBox|title|data-.*|aria-(label|labelledby|describedby|controls|valuenow|valuetext|activedescendant|owns|posinset))$/;
              const hash = (text, from) => { for (let i = 0; i < text.length; i++) from = (from * 31 + text.charCodeAt(i)) | 0; return from; };
              const told = element => element.tagName
                + [...element.attributes].map(({ name, value }) => `${name}=${unlike.test(name) ? !!value : value}`).sort()
                + [...element.childNodes].some(node => node.nodeType === 3 && node.data.trim());
              const walk = (element, above, included) => {
                const key = hash(told(element), above);
                const isFresh = !known.has(key.toString(36));
                if (isFresh) {
                  known.add(key.toString(36));
                  fresh.push(key.toString(36));
                  if (!included) include.push(element);
                }
                for (const child of element.children) walk(child, key, included || isFresh);
              };
              walk(document.body, 7, false);
              if (!include.length) return [[], []];
              const { violations } = await axe.run(before ? { include } : document,
                { runOnly: dark ? ['color-contrast'] : { type: 'tag', values: tags }, resultTypes: ['violations'], preload: !before });
              return [fresh, violations.map(({ id, nodes }) => `${id}: ${nodes.map(node => `${node.html} ${node.failureSummary}`).join(' | ')}`)];
            }""";

    private static final List<String> TAGS = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");

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
        String kind = page.evaluate("document.documentElement.dataset.bsTheme") + " "
                + page.url().replaceAll("[?#].*|https?://[^/]+|[0-9a-f]{8}-[0-9a-f-]{27}", "");
        Set<String> lookedAt = LOOKED_AT.computeIfAbsent(kind, none -> ConcurrentHashMap.newKeySet());
        List<?> seen = (List<?>) page.evaluate(CHECK, List.of(TAGS, String.join(" ", lookedAt)));
        assertThat((List<?>) seen.get(1)).as(page.url()).isEmpty();
        ((Collection<?>) seen.get(0)).forEach(key -> lookedAt.add((String) key));
    }
}
