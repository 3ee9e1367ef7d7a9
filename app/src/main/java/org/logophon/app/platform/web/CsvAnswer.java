package org.logophon.app.platform.web;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A table to take away (RFC 4180, UTF-8). */
public final class CsvAnswer {

    private CsvAnswer() {}

    /** What prints the rows under the header; cells that come from people go through {@code SafeCell}. */
    public interface Rows {

        void print(CSVPrinter csv) throws IOException;
    }

    public static ResponseEntity<byte[]> of(String fileName, Rows rows, String... header) {
        StringWriter text = new StringWriter();
        try {
            rows.print(new CSVPrinter(
                    text, CSVFormat.RFC4180.builder().setHeader(header).get()));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.parseMediaType("text/csv;charset=UTF-8"));
        headers.setContentDisposition(
                ContentDisposition.attachment().filename(fileName).build());
        return new ResponseEntity<>(text.toString().getBytes(StandardCharsets.UTF_8), headers, 200);
    }
}
