package org.logophon.app.steps.feed;

import java.io.StringWriter;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.logophon.app.services.deliveries.ReadyDeliveries.WholeFile;

/**
 * A feed as RSS 2.0 (RSS Advisory Board, 2009), with lengths in Media RSS 1.5.1 and links to chapters in the open
 * {@code podcast} namespace.
 */
final class FeedXml {

    static final Map<String, String> TYPES = Map.of(
            "wav", "audio/wav", "flac", "audio/flac", "mp3", "audio/mpeg", "opus", "audio/ogg", "m4a", "audio/mp4");

    private static final String ATOM = "http://www.w3.org/2005/Atom";
    private static final String MEDIA = "http://search.yahoo.com/mrss/";
    private static final String PODCAST = "https://podcastindex.org/namespace/1.0";

    private FeedXml() {}

    /** @param chapters true where it has some */
    record Entry(FeedItem item, WholeFile file, boolean chapters) {}

    /** @param base address of the feed's own folder, without a slash at its end */
    static String of(Feed feed, List<Entry> entries, String base) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeStartElement("rss");
            xml.writeAttribute("version", "2.0");
            xml.writeNamespace("atom", ATOM);
            xml.writeNamespace("media", MEDIA);
            xml.writeNamespace("podcast", PODCAST);
            xml.writeStartElement("channel");
            element(xml, "title", feed.title());
            element(xml, "link", base + "/programmes.xml");
            element(xml, "description", feed.description().isEmpty() ? feed.title() : feed.description());
            xml.writeEmptyElement("atom", "link", ATOM);
            xml.writeAttribute("href", base + "/programmes.xml");
            xml.writeAttribute("rel", "self");
            xml.writeAttribute("type", "application/rss+xml");
            if (!entries.isEmpty()) {
                element(xml, "lastBuildDate", date(entries.get(0).item()));
            }
            xml.writeStartElement("image");
            element(xml, "url", base + "/cover.png");
            element(xml, "title", feed.title());
            element(xml, "link", base + "/programmes.xml");
            xml.writeEndElement();
            for (Entry entry : entries) {
                item(xml, entry, base);
            }
            xml.writeEndElement();
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException("Text can't be written into memory.", impossible);
        }
        return text.toString();
    }

    private static void item(XMLStreamWriter xml, Entry entry, String base) throws XMLStreamException {
        FeedItem item = entry.item();
        String address = base + "/" + item.delivery() + "." + entry.file().kind();
        String type = TYPES.get(entry.file().kind());
        xml.writeStartElement("item");
        element(xml, "title", item.title());
        xml.writeStartElement("guid");
        xml.writeAttribute("isPermaLink", "false");
        xml.writeCharacters("urn:uuid:" + item.delivery());
        xml.writeEndElement();
        element(xml, "pubDate", date(item));
        xml.writeEmptyElement("enclosure");
        xml.writeAttribute("url", address);
        xml.writeAttribute("length", Long.toString(entry.file().bytes()));
        xml.writeAttribute("type", type);
        xml.writeEmptyElement("media", "content", MEDIA);
        xml.writeAttribute("url", address);
        xml.writeAttribute("fileSize", Long.toString(entry.file().bytes()));
        xml.writeAttribute("type", type);
        xml.writeAttribute("medium", "audio");
        xml.writeAttribute("duration", Long.toString(Math.round(item.seconds())));
        if (entry.chapters()) {
            xml.writeEmptyElement("podcast", "chapters", PODCAST);
            xml.writeAttribute("url", base + "/" + item.delivery() + "/chapters.json");
            xml.writeAttribute("type", "application/json+chapters");
        }
        xml.writeEndElement();
    }

    private static void element(XMLStreamWriter xml, String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(allowed(text));
        xml.writeEndElement();
    }

    /** XML 1.0 has no place for most control characters, not even escaped ones. */
    private static String allowed(String text) {
        return text.codePoints()
                .filter(c ->
                        c >= 0x20 && c != 0xFFFE && c != 0xFFFF && (c < 0xD800 || c > 0xDFFF) || c == '\t' || c == '\n')
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    /** RFC 822, with a year of four digits. */
    private static String date(FeedItem item) {
        return DateTimeFormatter.RFC_1123_DATE_TIME
                .localizedBy(Locale.ROOT)
                .format(item.addedAt().atOffset(ZoneOffset.UTC));
    }
}
