package org.logophon.core.direction.ssml;

import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** An element as it opens. */
record SsmlElement(String name, List<Attribute> attributes) {

    /** @param prefix empty for SSML's own */
    record Attribute(String prefix, String name, String value) {}

    static final String OUR_PREFIX = "score";

    SsmlElement {
        attributes = List.copyOf(attributes);
    }

    static SsmlElement of(String name) {
        return new SsmlElement(name, List.of());
    }

    SsmlElement with(String attribute, String value) {
        return with(new Attribute("", attribute, value));
    }

    /** With an attribute of our own namespace, which other readers pass over. */
    SsmlElement withOurs(String attribute, String value) {
        return with(new Attribute(OUR_PREFIX, attribute, value));
    }

    SsmlElement withLanguage(String tag) {
        return with(new Attribute("xml", "lang", tag));
    }

    private SsmlElement with(Attribute attribute) {
        List<Attribute> all = new ArrayList<>(attributes);
        all.add(attribute);
        return new SsmlElement(name, all);
    }

    void open(XMLStreamWriter xml) throws XMLStreamException {
        xml.writeStartElement(name);
        writeAttributes(xml);
    }

    void writeEmpty(XMLStreamWriter xml) throws XMLStreamException {
        xml.writeEmptyElement(name);
        writeAttributes(xml);
    }

    private void writeAttributes(XMLStreamWriter xml) throws XMLStreamException {
        for (Attribute attribute : attributes) {
            String value = XmlText.of(attribute.value());
            switch (attribute.prefix()) {
                case "" -> xml.writeAttribute(attribute.name(), value);
                case "xml" ->
                    xml.writeAttribute("xml", "http://www.w3.org/XML/1998/namespace", attribute.name(), value);
                default -> xml.writeAttribute(OUR_PREFIX, SsmlWriter.OURS, attribute.name(), value);
            }
        }
    }
}
