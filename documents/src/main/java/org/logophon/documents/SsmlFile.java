package org.logophon.documents;

import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** SSML 1.1 (W3C Recommendation 2010): each {@code <p>} becomes a cue, a voice's name a role; what directs the speech is counted and left out. */
final class SsmlFile {

    private SsmlFile() {
    }

    static Opened read(String fileName, String name, String text, List<String> remarks) {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        ScriptText script = new ScriptText();
        Map<String, Integer> left = new TreeMap<>();
        Deque<String> roles = new ArrayDeque<>(List.of(""));
        StringBuilder words = new StringBuilder();
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text));
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    start(xml, script, words, roles, left);
                } else if (event == XMLStreamConstants.END_ELEMENT) {
                    end(xml.getLocalName(), script, words, roles);
                } else if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
                    words.append(xml.getText());
                } else if (event == XMLStreamConstants.ENTITY_REFERENCE || event == XMLStreamConstants.DTD) {
                    throw new DocumentUnusable(fileName + " declares or uses entities of its own, which are not read. Write the characters themselves.");
                }
            }
        } catch (XMLStreamException malformed) {
            int line = malformed.getLocation() == null ? 0 : malformed.getLocation().getLineNumber();
            throw new DocumentUnusable(fileName + " is no well-formed SSML" + (line > 0 ? ": look at line " + line : "") + ". Mend it, or save it as text.");
        }
        flush(script, words, roles);
        List<String> skipped = new ArrayList<>(remarks);
        left.forEach((element, count) -> skipped.add(count + " <" + element + "> " + (count == 1 ? "was" : "were") + " left out; the words stay."));
        return Opened.ofText(name, "SSML", script.toString(), skipped);
    }

    private static void start(XMLStreamReader xml, ScriptText script, StringBuilder words, Deque<String> roles, Map<String, Integer> left) {
        switch (xml.getLocalName()) {
            case "speak", "s" -> words.append(' ');
            case "p" -> flush(script, words, roles);
            case "voice" -> {
                flush(script, words, roles);
                String voice = xml.getAttributeValue(null, "name");
                roles.push(voice == null ? roles.peek() : RoleNames.fit(voice));
            }
            default -> left.merge(xml.getLocalName(), 1, Integer::sum);
        }
    }

    private static void end(String element, ScriptText script, StringBuilder words, Deque<String> roles) {
        switch (element) {
            case "p" -> flush(script, words, roles);
            case "voice" -> {
                flush(script, words, roles);
                roles.pop();
            }
            default -> words.append(element.equals("s") ? " " : "");
        }
    }

    private static void flush(ScriptText script, StringBuilder words, Deque<String> roles) {
        script.cue(roles.peek(), words.toString());
        words.setLength(0);
    }
}
