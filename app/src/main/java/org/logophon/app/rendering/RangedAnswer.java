package org.logophon.app.rendering;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.logophon.core.wav.WavFile;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpRange;
import org.springframework.http.HttpStatus;

/** Answers with a WAV file, or with the range of it that was asked for (RFC 9110, section 14). */
public final class RangedAnswer {

    private RangedAnswer() {}

    /** @param range the request's header; null for the whole file */
    public static void write(WavFile file, String range, CacheControl caching, HttpServletResponse response)
            throws IOException {
        response.setContentType("audio/wav");
        response.setHeader(HttpHeaders.ACCEPT_RANGES, "bytes");
        response.setHeader(HttpHeaders.CACHE_CONTROL, caching.getHeaderValue());
        HttpRange wanted = wanted(range);
        if (wanted == null) {
            response.setContentLengthLong(file.size());
            file.write(0, file.size(), response.getOutputStream());
            return;
        }
        if (wanted.getRangeStart(file.size()) >= file.size()) {
            response.setHeader(HttpHeaders.CONTENT_RANGE, "bytes */" + file.size());
            response.setStatus(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE.value());
            return;
        }
        long from = wanted.getRangeStart(file.size());
        long last = wanted.getRangeEnd(file.size());
        response.setStatus(HttpStatus.PARTIAL_CONTENT.value());
        response.setHeader(HttpHeaders.CONTENT_RANGE, "bytes " + from + "-" + last + "/" + file.size());
        response.setContentLengthLong(last - from + 1);
        file.write(from, last + 1, response.getOutputStream());
    }

    /** A header that can't be read, or asks for several ranges, is passed over as the RFC allows: the whole is answered. */
    private static HttpRange wanted(String header) {
        if (header == null) {
            return null;
        }
        try {
            List<HttpRange> ranges = HttpRange.parseRanges(header);
            return ranges.size() == 1 ? ranges.get(0) : null;
        } catch (IllegalArgumentException unreadable) {
            return null;
        }
    }
}
