package org.logophon.app.platform.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A table to take away (RFC 4180, UTF-8). */
public final class CsvAnswer {

    private CsvAnswer() {}

    public static ResponseEntity<byte[]> of(String fileName, String text) {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.parseMediaType("text/csv;charset=UTF-8"));
        headers.setContentDisposition(
                ContentDisposition.attachment().filename(fileName).build());
        return new ResponseEntity<>(text.getBytes(StandardCharsets.UTF_8), headers, 200);
    }
}
