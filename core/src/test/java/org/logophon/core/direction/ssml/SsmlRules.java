package org.logophon.core.direction.ssml;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.w3c.dom.Attr;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * What SSML 1.1 (W3C Recommendation 7 September 2010) lets stand where: elements in elements, attributes and the form
 * of their values, as its sections 3.1 and 3.2 and its schema have them. Written by memory: the schema isn't at hand,
 * so both sections are unverified here. Attributes of another namespace are left out before a document is held against
 * the schema (section 2.2.1).
 */
final class SsmlRules {

    private static final String SSML = "http://www.w3.org/2001/10/synthesis";
    private static final Set<String> INLINE = Set.of(
            "audio",
            "break",
            "emphasis",
            "lang",
            "lookup",
            "mark",
            "phoneme",
            "prosody",
            "say-as",
            "sub",
            "token",
            "voice",
            "w");
    private static final Set<String> STRUCTURE = Set.of("p", "s");
    private static final Set<String> WITH_TEXT =
            Set.of("speak", "p", "s", "voice", "prosody", "lang", "emphasis", "sub", "say-as", "phoneme");
    private static final Map<String, Map<String, String>> ATTRIBUTES = Map.of(
            "speak", Map.of("version", "1\\.1", "xml:lang", "[A-Za-z]{1,8}(-[A-Za-z0-9]{1,8})*"),
            "p", Map.of(),
            "voice", Map.of("name", "\\S+( \\S+)*"),
            "lang", Map.of("xml:lang", "[A-Za-z]{1,8}(-[A-Za-z0-9]{1,8})*"),
            "prosody",
                    Map.of(
                            "rate",
                            "\\+?([0-9]*\\.)?[0-9]+%",
                            "pitch",
                            "[+-]([0-9]*\\.)?[0-9]+(%|st)",
                            "range",
                            "[+-]([0-9]*\\.)?[0-9]+(%|st)",
                            "volume",
                            "[+-]([0-9]*\\.)?[0-9]+dB"),
            "emphasis", Map.of("level", "strong|moderate|none|reduced"),
            "break", Map.of("time", "\\+?([0-9]*\\.)?[0-9]+(ms|s)"),
            "mark", Map.of("name", "\\S+"),
            "sub", Map.of("alias", ".+"),
            "say-as", Map.of("interpret-as", "[A-Za-z-]+", "format", "[A-Za-z]+"));
    private static final Set<String> NEEDED = Set.of(
            "speak version",
            "speak xml:lang",
            "voice name",
            "lang xml:lang",
            "mark name",
            "sub alias",
            "say-as interpret-as",
            "phoneme ph");

    private SsmlRules() {}

    /** @return what breaks the rules, empty when nothing does */
    static List<String> broken(Element root) {
        List<String> broken = new ArrayList<>();
        if (!root.getLocalName().equals("speak")) {
            broken.add("the root is " + root.getLocalName());
        }
        check(root, broken);
        return broken;
    }

    private static void check(Element element, List<String> broken) {
        String name = element.getLocalName();
        if (!SSML.equals(element.getNamespaceURI())) {
            broken.add(name + " is no element of SSML");
        }
        int counted = 0;
        for (int i = 0; i < element.getAttributes().getLength(); i++) {
            Attr attribute = (Attr) element.getAttributes().item(i);
            if (attribute.getName().startsWith("xmlns")
                    || attribute.getNamespaceURI() != null
                            && !attribute.getName().startsWith("xml:")) {
                continue;
            }
            counted++;
            String form = name.equals("phoneme")
                    ? Map.of("alphabet", "ipa", "ph", ".+").get(attribute.getName())
                    : ATTRIBUTES.getOrDefault(name, Map.of()).get(attribute.getName());
            if (form == null || !attribute.getValue().matches("(?s)" + form)) {
                broken.add(name + " " + attribute);
            }
        }
        NEEDED.stream()
                .filter(needed ->
                        needed.startsWith(name + " ") && !element.hasAttribute(needed.substring(name.length() + 1)))
                .forEach(broken::add);
        if (name.equals("prosody") && counted == 0) {
            broken.add("a prosody without attributes (3.2.4: an error)");
        }
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child instanceof Element inner) {
                String what = inner.getLocalName();
                boolean textOnly =
                        Set.of("sub", "say-as", "phoneme", "break", "mark").contains(name);
                boolean structure = STRUCTURE.contains(what)
                        && !Set.of("speak", "voice", "prosody", "lang").contains(name)
                        && !(name.equals("p") && what.equals("s"));
                if (textOnly || structure || !INLINE.contains(what) && !STRUCTURE.contains(what)) {
                    broken.add(what + " in " + name);
                }
                check(inner, broken);
            } else if (!WITH_TEXT.contains(name) && !child.getTextContent().isBlank()) {
                broken.add("text in " + name);
            }
        }
    }
}
