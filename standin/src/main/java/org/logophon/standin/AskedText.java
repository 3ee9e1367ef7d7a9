package org.logophon.standin;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.logophon.reading.Said;
import tools.jackson.databind.JsonNode;

/**
 * What a request wants spoken.
 *
 * @param text a phoneme element stands in it with its IPA
 * @param said the places of that IPA
 */
record AskedText(String text, List<Said> said) {

    /** @throws IllegalArgumentException with a sentence when there is neither a text nor SSML that can be read */
    static AskedText of(JsonNode request) {
        String ssml = request.path("ssml").asString("");
        return ssml.isEmpty() ? new AskedText(request.path("text").asString(""), List.of()) : ofSsml(ssml);
    }

    /** SSML 1.1: {@code phoneme} by IPA; every other element is read through. */
    private static AskedText ofSsml(String ssml) {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        StringBuilder text = new StringBuilder();
        List<Said> said = new ArrayList<>();
        try {
            XMLStreamReader reader = factory.createXMLStreamReader(new StringReader(ssml));
            int silent = 0;
            while (reader.hasNext()) {
                int event = reader.next();
                if (event == XMLStreamConstants.START_ELEMENT && silent > 0) {
                    silent++;
                } else if (event == XMLStreamConstants.START_ELEMENT && reader.getLocalName().equals("phoneme")) {
                    String ipa = reader.getAttributeValue(null, "ph");
                    if (ipa == null || ipa.isBlank()) {
                        throw new IllegalArgumentException("A phoneme element has IPA in its attribute ph.");
                    }
                    said.add(new Said(text.length(), text.length() + ipa.length(), ipa, true));
                    text.append(ipa);
                    silent = 1;
                } else if (event == XMLStreamConstants.END_ELEMENT && silent > 0) {
                    silent--;
                } else if (event == XMLStreamConstants.CHARACTERS && silent == 0) {
                    text.append(reader.getText());
                }
            }
        } catch (XMLStreamException bad) {
            throw new IllegalArgumentException("The SSML of this request can't be read.", bad);
        }
        return new AskedText(text.toString(), said);
    }

    int characters() {
        return text.codePointCount(0, text.length());
    }
}
