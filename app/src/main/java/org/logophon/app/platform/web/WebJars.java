package org.logophon.app.platform.web;

import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.webjars.WebJarVersionLocator;
import tools.jackson.databind.json.JsonMapper;

/** Addresses of the libraries that pages use, with the versions that are on the class path. */
@Component("webJars")
public class WebJars {

    /** Modules by the names that they import each other by: what holds them, and their file in it. */
    private static final Map<String, String[]> MODULES = Map.of(
            "@codemirror/state", new String[] {"codemirror__state", "dist/index.js"},
            "@codemirror/view", new String[] {"codemirror__view", "dist/index.js"},
            "@codemirror/commands", new String[] {"codemirror__commands", "dist/index.js"},
            "@codemirror/language", new String[] {"codemirror__language", "dist/index.js"},
            "@lezer/common", new String[] {"lezer__common", "dist/index.js"},
            "@lezer/highlight", new String[] {"lezer__highlight", "dist/index.js"},
            "@marijn/find-cluster-break", new String[] {"marijn__find-cluster-break", "src/index.js"},
            "style-mod", new String[] {"style-mod", "src/style-mod.js"},
            "w3c-keyname", new String[] {"w3c-keyname", "index.js"},
            "crelt", new String[] {"crelt", "index.js"});

    private final WebJarVersionLocator locator = new WebJarVersionLocator();
    private final String imports;

    WebJars(JsonMapper json) {
        Map<String, String> addresses = new TreeMap<>();
        MODULES.forEach((name, file) -> addresses.put(name, path(file[0], file[1])));
        imports = json.writeValueAsString(Map.of("imports", addresses));
    }

    /** The address of a file of a library. @throws NullPointerException when the library isn't there */
    public String path(String library, String file) {
        return "/webjars/" + Objects.requireNonNull(locator.path(library, file), library);
    }

    /** The map that a browser finds the editor's modules by (HTML, import maps), as JSON. */
    public String imports() {
        return imports;
    }
}
