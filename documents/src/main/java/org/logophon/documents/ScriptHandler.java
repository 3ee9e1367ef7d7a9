package org.logophon.documents;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.xml.sax.Attributes;
import org.xml.sax.helpers.DefaultHandler;

/**
 * The handler of Tika's XHTML that keeps what is script: headings and paragraphs. Counts what is not.
 */
final class ScriptHandler extends DefaultHandler {

    private static final Set<String> BLOCKS =
            Set.of("p", "li", "td", "th", "div", "blockquote", "h1", "h2", "h3", "h4", "h5", "h6");
    private static final Set<String> ASIDE =
            Set.of("header", "footer", "footnote", "endnote", "comment", "annotation", "embedded", "package-entry");
    static final int MOST_CHARACTERS = 4_000_000;

    private final ScriptText script = new ScriptText();
    private final StringBuilder block = new StringBuilder();
    private String heading = "";
    private int asideDepth;
    private int depth;
    private int asides;
    private int pictures;
    private int tables;
    private int pageNumbers;
    private boolean inHead = true;

    @Override
    public void startElement(String uri, String local, String qName, Attributes attributes) {
        depth++;
        String tag = local.isEmpty() ? qName.toLowerCase(Locale.ROOT) : local;
        String style = String.valueOf(attributes.getValue("class")).toLowerCase(Locale.ROOT);
        if (tag.equals("body")) {
            inHead = false;
        } else if (asideDepth == 0 && ASIDE.stream().anyMatch(style::contains)) {
            flush();
            asideDepth = depth;
            asides++;
        } else if (tag.equals("img")) {
            pictures++;
        } else if (tag.equals("table")) {
            tables++;
        } else if (tag.equals("br")) {
            block.append('\n');
        }
        if (BLOCKS.contains(tag)) {
            flush();
            heading = tag.matches("h[1-6]") ? tag : "";
        }
    }

    @Override
    public void endElement(String uri, String local, String qName) {
        String tag = local.isEmpty() ? qName.toLowerCase(Locale.ROOT) : local;
        if (BLOCKS.contains(tag)) {
            flush();
            heading = "";
        }
        if (depth == asideDepth) {
            block.setLength(0);
            asideDepth = 0;
        }
        depth--;
    }

    @Override
    public void characters(char[] text, int start, int length) {
        if (!inHead && asideDepth == 0) {
            block.append(text, start, length);
            if (block.length() > MOST_CHARACTERS) {
                throw new DocumentUnusable("This document holds more text than any script. Split it into several.");
            }
        }
    }

    private void flush() {
        String words = block.toString().strip();
        block.setLength(0);
        if (asideDepth > 0 || words.isEmpty()) {
            return;
        }
        if (words.matches("(?i)(?:page |seite )?\\d{1,4}(?: ?(?:/|of|von) ?\\d{1,4})?")) {
            pageNumbers++;
        } else if (heading.isEmpty()) {
            script.paragraph(words.replaceAll("[ \\t\\x0B\\f\\r\u00A0]+", " ").replaceAll(" ?\\n[ \\n]*", "\n"));
        } else {
            script.heading(words);
        }
    }

    String script() {
        flush();
        return script.toString();
    }

    List<String> skipped() {
        List<String> skipped = new ArrayList<>();
        say(skipped, pictures, "picture was", "pictures were", " left out.");
        say(
                skipped,
                asides,
                "header, footer, note or comment was",
                "headers, footers, notes or comments were",
                " left out.");
        say(skipped, tables, "table was", "tables were", " taken apart: each cell became a paragraph.");
        say(skipped, pageNumbers, "page number was", "page numbers were", " left out.");
        return skipped;
    }

    static void say(List<String> to, int count, String one, String many, String what) {
        if (count > 0) {
            to.add(count + " " + (count == 1 ? one : many) + what);
        }
    }
}
