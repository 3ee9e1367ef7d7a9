package org.logophon.documents;

import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;

/** A web page: headings and paragraphs of its main part, without its machinery. */
final class HtmlFile {

    private static final String MACHINERY =
            "script, style, nav, footer, header, form, button, select, svg, iframe, noscript, template, "
                    + "[hidden], [aria-hidden=true]";

    private HtmlFile() {}

    static OpenedDocument read(String name, String text, List<String> remarks) {
        Document page = Jsoup.parse(text);
        int machinery = page.select(MACHINERY).size();
        int pictures = page.select("img, picture, video, audio").size();
        page.select(MACHINERY).remove();
        Element main = page.selectFirst("main, article");
        ScriptText script = new ScriptText();
        Blocks blocks = new Blocks(script);
        NodeTraversor.traverse(blocks, main == null ? page.body() : main);
        blocks.flush();
        ScriptHandler.say(remarks, pictures, "picture or sound was", "pictures or sounds were", " left out.");
        ScriptHandler.say(
                remarks,
                machinery,
                "part of the page was",
                "parts of the page (menus, forms, scripts) were",
                " left out.");
        return OpenedDocument.ofText(name, "web page", script.toString(), remarks);
    }

    private static final class Blocks implements NodeVisitor {

        private final ScriptText script;
        private final StringBuilder block = new StringBuilder();
        private boolean heading;

        Blocks(ScriptText script) {
            this.script = script;
        }

        @Override
        public void head(Node node, int depth) {
            if (node instanceof TextNode text) {
                block.append(text.getWholeText().replaceAll("\\s+", " "));
            } else if (node instanceof Element element) {
                if (element.tagName().equals("br")) {
                    block.append('\n');
                } else if (element.isBlock()) {
                    flush();
                    heading = element.tagName().matches("h[1-6]");
                }
            }
        }

        @Override
        public void tail(Node node, int depth) {
            if (node instanceof Element element && element.isBlock()) {
                flush();
                heading = false;
            }
        }

        void flush() {
            String words = block.toString()
                    .replaceAll(" *\\n *", "\n")
                    .replaceAll(" +", " ")
                    .strip();
            block.setLength(0);
            if (heading) {
                script.heading(words);
            } else {
                script.paragraph(words);
            }
        }
    }
}
