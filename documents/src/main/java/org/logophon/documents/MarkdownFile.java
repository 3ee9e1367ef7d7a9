package org.logophon.documents;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Block;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.Code;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.Heading;
import org.commonmark.node.HtmlInline;
import org.commonmark.node.Image;
import org.commonmark.node.Link;
import org.commonmark.node.ListBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.Text;
import org.commonmark.node.ThematicBreak;
import org.commonmark.parser.Parser;

/** Markdown (CommonMark 0.31): its emphasis, links and lists become plain words; a script's own marks stay. */
final class MarkdownFile extends AbstractVisitor {

    private static final Set<Class<? extends Block>> BLOCKS =
            Set.of(Heading.class, ListBlock.class, BlockQuote.class, ThematicBreak.class, FencedCodeBlock.class);

    private final ScriptText script = new ScriptText();
    private final StringBuilder words = new StringBuilder();
    private int pictures;
    private int links;
    private int tags;
    private int blocksOfCode;

    static OpenedDocument read(String name, String text, List<String> remarks) {
        Parser parser = Parser.builder().enabledBlockTypes(BLOCKS).build();
        MarkdownFile file = new MarkdownFile();
        // a line of dashes is a script's divider, not the underline of a heading
        String apart = text.replace("\r\n", "\n").replace('\r', '\n').replaceAll("(?m)^( {0,3}-{3,} *)$", "\n$1\n");
        parser.parse(apart).accept(file);
        List<String> skipped = new ArrayList<>(remarks);
        ScriptHandler.say(skipped, file.pictures, "picture was", "pictures were", " left out.");
        ScriptHandler.say(
                skipped, file.links, "link's address was", "links' addresses were", " left out; the words stay.");
        ScriptHandler.say(skipped, file.tags, "HTML tag was", "HTML tags were", " left out.");
        ScriptHandler.say(skipped, file.blocksOfCode, "block of code was", "blocks of code were", " left out.");
        return OpenedDocument.ofText(name, "Markdown", file.script.toString(), skipped);
    }

    @Override
    public void visit(Heading heading) {
        visitChildren(heading);
        script.heading(taken());
    }

    @Override
    public void visit(Paragraph paragraph) {
        if (paragraph.getParent() instanceof ListItem item
                && item.getParent() instanceof OrderedList list
                && item.getFirstChild() == paragraph
                && list.getFirstChild() == item
                && item.getNext() == null) {
            // "1911. Wind north-west." is a sentence that starts with a year, not a list of one
            words.append(list.getMarkerStartNumber())
                    .append(list.getMarkerDelimiter())
                    .append(' ');
        }
        visitChildren(paragraph);
        script.paragraph(taken());
    }

    private String taken() {
        String text = words.toString();
        words.setLength(0);
        return text;
    }

    @Override
    public void visit(ThematicBreak divider) {
        script.paragraph("---");
    }

    @Override
    public void visit(Text text) {
        words.append(text.getLiteral());
    }

    @Override
    public void visit(Code code) {
        words.append(code.getLiteral());
    }

    @Override
    public void visit(SoftLineBreak softBreak) {
        words.append('\n');
    }

    @Override
    public void visit(HardLineBreak hardBreak) {
        words.append('\n');
    }

    @Override
    public void visit(Link link) {
        links++;
        visitChildren(link);
    }

    @Override
    public void visit(Image image) {
        pictures++;
    }

    @Override
    public void visit(HtmlInline html) {
        tags++;
    }

    @Override
    public void visit(FencedCodeBlock code) {
        blocksOfCode++;
    }

    @Override
    protected void visitChildren(Node parent) {
        super.visitChildren(parent);
    }
}
