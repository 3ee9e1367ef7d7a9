package org.logophon.standin;

import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.logophon.core.input.StrangersXml;
import org.logophon.core.text.reading.Pronunciation;
import tools.jackson.databind.JsonNode;

/**
 * The text of a request.
 *
 * @param text a phoneme element stands in it with its IPA
 * @param said the places of that IPA
 */
record RequestedText(String text, List<Pronunciation> said) {

    /** @throws IllegalArgumentException with a sentence when there is neither a text nor SSML that can be read */
    static RequestedText of(JsonNode request) {
        String ssml = request.path("ssml").asString("");
        return ssml.isEmpty() ? new RequestedText(request.path("text").asString(""), List.of()) : ofSsml(ssml);
    }

    /** SSML 1.1: {@code phoneme} by IPA; every other element is read through. */
    private static RequestedText ofSsml(String ssml) {
        StringBuilder text = new StringBuilder();
        List<Pronunciation> said = new ArrayList<>();
        try {
            XMLStreamReader reader = StrangersXml.read(ssml);
            int silent = 0;
            while (reader.hasNext()) {
                int event = reader.next();
                if (event == XMLStreamConstants.START_ELEMENT && silent > 0) {
                    silent++;
                } else if (event == XMLStreamConstants.START_ELEMENT
                        && reader.getLocalName().equals("phoneme")) {
                    String ipa = reader.getAttributeValue(null, "ph");
                    if (ipa == null || ipa.isBlank()) {
                        throw new IllegalArgumentException("A phoneme element has IPA in its attribute ph.");
                    }
                    said.add(new Pronunciation(text.length(), text.length() + ipa.length(), ipa, true));
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
        return new RequestedText(text.toString(), said);
    }

    int characters() {
        return text.codePointCount(0, text.length());
    }
}
