package org.logophon.core.input;

import java.io.StringReader;
import java.util.MissingResourceException;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.util.StreamReaderDelegate;

/**
 * XML that somebody else has written (XML 1.0, fifth edition): no DTD of it is followed, and nothing from outside is
 * read.
 */
public final class StrangersXml {

    private StrangersXml() {}

    /** @throws XMLStreamException when it is not well-formed, as from the reader itself */
    public static XMLStreamReader read(String text) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        return new StreamReaderDelegate(factory.createXMLStreamReader(new StringReader(text))) {
            @Override
            public int next() throws XMLStreamException {
                try {
                    return super.next();
                } catch (MissingResourceException unworded) {
                    // Java's parser has no words for some of its own complaints about a DTD
                    throw new XMLStreamException("A DTD that can't be read", getLocation(), unworded);
                }
            }
        };
    }
}
