package org.logophon.core.delivery;

import java.io.StringWriter;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.direction.ssml.SsmlReader;
import org.logophon.core.direction.ssml.SsmlWriter;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.StrangersXml;

/**
 * What a clip carries of its cue, so that the words can be had back from the sound: a small XML document around SSML.
 * In WAV it is the {@code axml} chunk (EBU Tech 3285, Supplement 5), in other formats a tag.
 *
 * @param number   of the cue
 * @param role     who spoke
 * @param scene    empty for none
 * @param language BCP 47
 * @param origin   where the clip comes from; null when no store holds it
 * @param cue      words, voice, direction, marks and readings
 */
public record ClipNote(String number, String role, String scene, String language, ClipOrigin origin, SsmlCue cue) {

    private static final String NAMESPACE = "urn:logophon:clip";
    private static final String VERSION = "1";
    private static final String SPEAK = "<speak";
    private static final String SPOKEN = "</speak>";

    /** Of a clip; empty where nobody knows how it was spoken. */
    public static Optional<ClipNote> of(DeliveredClip clip, String language) {
        return clip.score() == null
                ? Optional.empty()
                : Optional.of(
                        new ClipNote(clip.number(), clip.role(), clip.scene(), language, clip.origin(), clip.score()));
    }

    public String xml() {
        StringWriter out = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(out);
            xml.writeStartElement("clip");
            xml.writeDefaultNamespace(NAMESPACE);
            xml.writeAttribute("version", VERSION);
            xml.writeAttribute("number", plain(number));
            xml.writeAttribute("role", plain(role));
            xml.writeAttribute("scene", plain(scene));
            xml.writeAttribute("language", plain(language));
            if (origin != null) {
                xml.writeAttribute("project", origin.project().toString());
                xml.writeAttribute("cue", origin.cue().toString());
                xml.writeAttribute("take", origin.take().toString());
            }
            xml.writeCharacters("");
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("A text in memory can always be written.", e);
        }
        String ssml = SsmlWriter.document(List.of(cue), language);
        String start = out.toString();
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + (start.endsWith(">") ? start : start + ">")
                + ssml.substring(ssml.indexOf(SPEAK)).strip() + "</clip>\n";
    }

    private static String plain(String text) {
        return text.replaceAll("\\p{Cntrl}", " ");
    }

    /**
     * What {@link #xml} wrote; empty for a document of somebody else's.
     *
     * @throws InvalidInput with a sentence when it is ours and can't be read
     */
    public static Optional<ClipNote> read(String document) {
        try {
            XMLStreamReader xml = StrangersXml.read(document.strip());
            while (xml.hasNext() && xml.next() != XMLStreamConstants.START_ELEMENT) {
                // what stands before the root says nothing
            }
            if (!xml.isStartElement() || !NAMESPACE.equals(xml.getNamespaceURI())) {
                return Optional.empty();
            }
            if (!VERSION.equals(xml.getAttributeValue(null, "version"))) {
                throw new InvalidInput("It was written by a later Logophon. Open it with that one.");
            }
            int from = document.indexOf(SPEAK);
            int to = document.lastIndexOf(SPOKEN);
            SsmlReader.Document spoken =
                    SsmlReader.read(from < 0 || to < from ? "" : document.substring(from, to + SPOKEN.length()));
            if (spoken.cues().size() != 1) {
                throw new InvalidInput("What it carries of its cue can't be read: it holds no words.");
            }
            return Optional.of(new ClipNote(
                    said(xml, "number"),
                    said(xml, "role"),
                    said(xml, "scene"),
                    said(xml, "language"),
                    origin(xml),
                    spoken.cues().get(0)));
        } catch (XMLStreamException foreign) {
            return Optional.empty();
        }
    }

    private static String said(XMLStreamReader xml, String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value.strip();
    }

    private static ClipOrigin origin(XMLStreamReader xml) {
        try {
            return new ClipOrigin(
                    UUID.fromString(said(xml, "project")),
                    UUID.fromString(said(xml, "cue")),
                    UUID.fromString(said(xml, "take")));
        } catch (IllegalArgumentException unknown) {
            return null;
        }
    }
}
