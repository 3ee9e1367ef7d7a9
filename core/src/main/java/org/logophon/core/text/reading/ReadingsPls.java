package org.logophon.core.text.reading;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.StrangersXml;

/**
 * Readings as a pronunciation lexicon (PLS 1.0, W3C Recommendation 14 October 2008): a lexeme has graphemes and an
 * alias or a
 * phoneme. PLS knows no kinds and no rule of case: kinds are written as the words they come to.
 */
public final class ReadingsPls {

    private static final String NAMESPACE = "http://www.w3.org/2005/01/pronunciation-lexicon";

    private ReadingsPls() {}

    /** @param language BCP 47 tag of the lexicon; readings of another language are left out */
    public static String write(List<Reading> readings, String language) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeCharacters("\n");
            xml.writeStartElement("lexicon");
            xml.writeDefaultNamespace(NAMESPACE);
            xml.writeAttribute("version", "1.0");
            xml.writeAttribute("alphabet", "ipa");
            xml.writeAttribute("xml:lang", language);
            for (Reading reading : readings) {
                if (reading.holdsFor(language)) {
                    lexeme(xml, reading, language);
                }
            }
            xml.writeCharacters("\n");
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("A string can always be written to.", e);
        }
        return text.append('\n').toString();
    }

    private static void lexeme(XMLStreamWriter xml, Reading reading, String language) throws XMLStreamException {
        xml.writeCharacters("\n  ");
        xml.writeStartElement("lexeme");
        element(xml, "grapheme", reading.written());
        element(xml, reading.kind() == PronunciationKind.IPA ? "phoneme" : "alias", reading.spoken(language));
        xml.writeEndElement();
    }

    private static void element(XMLStreamWriter xml, String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }

    static ReadingsFile read(String text) {
        Lexicon lexicon = new Lexicon();
        try {
            XMLStreamReader xml = StrangersXml.read(text);
            while (xml.hasNext()) {
                lexicon.read(xml, xml.next());
            }
        } catch (XMLStreamException malformed) {
            throw new InvalidInput("This pronunciation lexicon is no well-formed XML: look at line "
                    + (malformed.getLocation() == null
                            ? 1
                            : malformed.getLocation().getLineNumber()) + ".");
        }
        if (!lexicon.seen) {
            throw new InvalidInput("This file is XML, but no pronunciation lexicon (PLS 1.0).");
        }
        return new ReadingsFile(lexicon.readings, lexicon.skipped);
    }

    /** State while a lexicon is read. */
    private static final class Lexicon {

        private final List<Reading> readings = new ArrayList<>();
        private final List<String> skipped = new ArrayList<>();
        private final List<String> graphemes = new ArrayList<>();
        private final StringBuilder words = new StringBuilder();
        private boolean seen;
        private boolean ipa = true;
        private String language;
        private String alias;
        private String phoneme;

        void read(XMLStreamReader xml, int event) {
            if (event == XMLStreamConstants.START_ELEMENT) {
                start(xml);
            } else if (event == XMLStreamConstants.CHARACTERS) {
                words.append(xml.getText());
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                end(xml.getLocalName());
            }
        }

        private void start(XMLStreamReader xml) {
            words.setLength(0);
            switch (xml.getLocalName()) {
                case "lexicon" -> {
                    seen = true;
                    language = xml.getAttributeValue("http://www.w3.org/XML/1998/namespace", "lang");
                    ipa = "ipa".equals(xml.getAttributeValue(null, "alphabet"));
                }
                case "lexeme" -> {
                    graphemes.clear();
                    alias = null;
                    phoneme = null;
                }
                case "phoneme" -> {
                    String own = xml.getAttributeValue(null, "alphabet");
                    ipa = own == null ? ipa : "ipa".equals(own);
                }
                default -> {}
            }
        }

        private void end(String element) {
            String text = words.toString().strip();
            switch (element) {
                case "grapheme" -> graphemes.add(text);
                // the first of several is the preferred one (section 4.9)
                case "alias" -> alias = alias == null ? text : alias;
                case "phoneme" -> phoneme = phoneme == null && ipa ? text : phoneme;
                case "lexeme" -> lexeme();
                default -> {}
            }
        }

        private void lexeme() {
            for (String grapheme : graphemes) {
                try {
                    if (alias == null && phoneme == null) {
                        throw new InvalidInput("it has no alias and no phoneme in IPA.");
                    }
                    readings.add(
                            alias != null
                                    ? new Reading(grapheme, alias, PronunciationKind.WORDS, language, false)
                                    : new Reading(grapheme, phoneme, PronunciationKind.IPA, language, false));
                } catch (InvalidInput bad) {
                    skipped.add("The entry \"" + grapheme + "\" was left out: " + bad.getMessage());
                }
            }
        }
    }
}
