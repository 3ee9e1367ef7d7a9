package org.logophon.core.input;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StrangersXmlTest {

    private static String words(String xml) throws XMLStreamException {
        XMLStreamReader reader = StrangersXml.read(xml);
        StringBuilder words = new StringBuilder();
        while (reader.hasNext()) {
            if (reader.next() == XMLStreamReader.CHARACTERS) {
                words.append(reader.getText());
            }
        }
        return words.toString();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<!DOCTYPE a [\u0001]><a/>",
                "<!DOCTYPE a [<!ENTITY b \uffff>]><a/>",
                "<!DOCTYPE a [",
                "<a>&b;</a>",
                "<a>\u0000</a>",
                "<a><b></a>",
                ""
            })
    void whatIsNotWellFormedIsSaidAsThat(String xml) {
        assertThatThrownBy(() -> words(xml)).isInstanceOf(XMLStreamException.class);
    }

    /** XML 1.0, 4.2.2 (external entities) and what became known as a billion laughs. */
    @Test
    void nothingFromOutsideIsReadAndNothingGrows() {
        String laughs = Stream.iterate(1, i -> i < 12, i -> i + 1)
                .map(i -> "<!ENTITY l%d '%s'>"
                        .formatted(i, "&l%d;".formatted(i - 1).repeat(10)))
                .collect(Collectors.joining());
        for (String inside : new String[] {
            "<!ENTITY e SYSTEM 'file:///etc/hostname'>", "<!ENTITY l0 'ha'>" + laughs + "<!ENTITY e '&l11;'>"
        }) {
            try {
                assertThat(words("<!DOCTYPE a [" + inside + "]><a>&e;</a>")).isEmpty();
            } catch (XMLStreamException refused) {
                assertThat(refused.getLocation()).isNotNull();
            }
        }
    }
}
