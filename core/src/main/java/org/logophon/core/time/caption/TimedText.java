package org.logophon.core.time.caption;

import java.io.StringWriter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** TTML, IMSC 1.1 text profile (W3C Recommendation, 8 November 2018). */
public final class TimedText {

    private static final String TT = "http://www.w3.org/ns/ttml";
    private static final String PARAMETER = "http://www.w3.org/ns/ttml#parameter";
    private static final String STYLING = "http://www.w3.org/ns/ttml#styling";
    private static final String METADATA = "http://www.w3.org/ns/ttml#metadata";
    private static final String PROFILE = "http://www.w3.org/ns/ttml/profile/imsc1.1/text";

    private TimedText() {}

    /** @param language BCP 47; empty for unknown */
    public static String of(List<Caption> captions, String language, String title) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            Map<String, String> agents = new LinkedHashMap<>();
            captions.stream()
                    .map(Caption::speaker)
                    .filter(speaker -> !speaker.isEmpty())
                    .forEach(speaker -> agents.putIfAbsent(speaker, "who" + (agents.size() + 1)));
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeStartElement("tt");
            xml.writeDefaultNamespace(TT);
            xml.writeNamespace("ttp", PARAMETER);
            xml.writeNamespace("tts", STYLING);
            xml.writeNamespace("ttm", METADATA);
            xml.writeAttribute("ttp:contentProfiles", PROFILE);
            xml.writeAttribute("ttp:timeBase", "media");
            xml.writeAttribute("ttp:cellResolution", "32 15");
            xml.writeAttribute("xml:lang", language);
            head(xml, title, agents);
            body(xml, captions, agents);
            xml.writeEndElement();
            xml.writeEndDocument();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("Writing to memory can't fail.", e);
        }
        return text.toString();
    }

    private static void head(XMLStreamWriter xml, String title, Map<String, String> agents) throws XMLStreamException {
        xml.writeStartElement("head");
        xml.writeStartElement("metadata");
        element(xml, "ttm:title", plain(title));
        for (Map.Entry<String, String> agent : agents.entrySet()) {
            xml.writeStartElement("ttm:agent");
            xml.writeAttribute("xml:id", agent.getValue());
            xml.writeAttribute("type", "character");
            xml.writeStartElement("ttm:name");
            xml.writeAttribute("type", "alias");
            xml.writeCharacters(plain(agent.getKey()));
            xml.writeEndElement();
            xml.writeEndElement();
        }
        xml.writeEndElement();
        xml.writeStartElement("styling");
        xml.writeStartElement("style");
        xml.writeAttribute("xml:id", "plain");
        xml.writeAttribute("tts:color", "white");
        xml.writeAttribute("tts:backgroundColor", "#000000c0");
        xml.writeAttribute("tts:textAlign", "center");
        xml.writeAttribute("tts:fontFamily", "proportionalSansSerif");
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeStartElement("layout");
        xml.writeStartElement("region");
        xml.writeAttribute("xml:id", "below");
        xml.writeAttribute("tts:origin", "10% 80%");
        xml.writeAttribute("tts:extent", "80% 15%");
        xml.writeAttribute("tts:displayAlign", "after");
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndElement();
    }

    private static void body(XMLStreamWriter xml, List<Caption> captions, Map<String, String> agents)
            throws XMLStreamException {
        xml.writeStartElement("body");
        xml.writeAttribute("style", "plain");
        xml.writeAttribute("region", "below");
        xml.writeStartElement("div");
        for (Caption caption : captions) {
            xml.writeStartElement("p");
            xml.writeAttribute("begin", CaptionTime.written(caption.startMillis(), '.'));
            xml.writeAttribute("end", CaptionTime.written(caption.endMillis(), '.'));
            if (!caption.speaker().isEmpty()) {
                xml.writeAttribute("ttm:agent", agents.get(caption.speaker()));
            }
            for (int i = 0; i < caption.lines().size(); i++) {
                if (i > 0) {
                    xml.writeEmptyElement("br");
                }
                xml.writeCharacters(plain(caption.lines().get(i)));
            }
            xml.writeEndElement();
        }
        xml.writeEndElement();
        xml.writeEndElement();
    }

    private static void element(XMLStreamWriter xml, String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }

    /** Without what XML 1.0 has no way to write. */
    private static String plain(String text) {
        return text.replaceAll("[^\\t\\n\\r\\x20-\\uD7FF\\uE000-\\uFFFD\\x{10000}-\\x{10FFFF}]", "");
    }
}
