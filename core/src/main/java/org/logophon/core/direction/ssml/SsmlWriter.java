package org.logophon.core.direction.ssml;

import java.io.StringWriter;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes cues as SSML 1.1. What it has no element for (whisper, breath, style, a role's name) stands in attributes and
 * marks of our own, beside what comes nearest to it for other readers: they pass over attributes of another namespace.
 * Runs that cross one another are written in pieces: elements nest.
 */
public final class SsmlWriter {

    /** Of the attributes that SSML has no element for. */
    public static final String OURS = "urn:logophon:score";

    /** Before the depth of a breath, in the name of a mark. */
    static final String BREATH = "breath-";

    /** Of a paragraph: how much of its phrasing is heard, in per cent. */
    static final String PHRASING = "phrasing";

    private static final String SYNTHESIS = "http://www.w3.org/2001/10/synthesis";

    private static final XMLOutputFactory FACTORY = XMLOutputFactory.newDefaultFactory();

    private interface Content {
        void write(XMLStreamWriter xml) throws XMLStreamException;
    }

    private SsmlWriter() {}

    /** A whole document, a paragraph for each cue. @param language BCP 47 tag */
    public static String document(List<SsmlCue> cues, String language) {
        return written(xml -> {
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeCharacters("\n");
            xml.writeStartElement("speak");
            xml.writeAttribute("version", "1.1");
            xml.writeDefaultNamespace(SYNTHESIS);
            xml.writeNamespace(SsmlElement.OUR_PREFIX, OURS);
            xml.writeAttribute("xml", "http://www.w3.org/XML/1998/namespace", "lang", language);
            xml.writeCharacters("\n");
            for (SsmlCue cue : cues) {
                paragraph(cue, xml);
                xml.writeCharacters("\n");
            }
            xml.writeEndElement();
            xml.writeCharacters("\n");
            xml.writeEndDocument();
        });
    }

    /** One cue: a {@code p} element, in a {@code voice} element when it has one. */
    public static String paragraph(SsmlCue cue) {
        return written(xml -> paragraph(cue, xml));
    }

    private static void paragraph(SsmlCue cue, XMLStreamWriter xml) throws XMLStreamException {
        if (!cue.voice().isEmpty()) {
            SsmlElement.of("voice").with("name", cue.voice()).open(xml);
        }
        xml.writeStartElement("p");
        if (cue.direction().phrasingPercent() != null) {
            xml.writeAttribute(
                    SsmlElement.OUR_PREFIX,
                    OURS,
                    PHRASING,
                    cue.direction().phrasingPercent().toString());
        }
        List<SsmlElement> around = SsmlElements.of(cue.direction());
        for (SsmlElement element : around) {
            element.open(xml);
        }
        SsmlBody.write(cue, xml);
        for (int i = 0; i < around.size(); i++) {
            xml.writeEndElement();
        }
        xml.writeEndElement();
        if (!cue.voice().isEmpty()) {
            xml.writeEndElement();
        }
    }

    private static String written(Content content) {
        StringWriter out = new StringWriter();
        try {
            XMLStreamWriter xml = FACTORY.createXMLStreamWriter(out);
            content.write(xml);
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("A text in memory can always be written.", e);
        }
        return out.toString();
    }
}
