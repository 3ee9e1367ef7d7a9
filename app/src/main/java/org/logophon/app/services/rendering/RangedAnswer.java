package org.logophon.app.services.rendering;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.logophon.core.signal.wav.WavFile;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpRange;
import org.springframework.http.HttpStatus;

/** Answers with a file of sound, or with the range of it that was asked for (RFC 9110, section 14). */
public final class RangedAnswer {

    private RangedAnswer() {}

    /** Writes bytes of it. */
    public interface Stretch {

        /** @param to after the last byte */
        void write(long from, long to, OutputStream out) throws IOException;
    }

    /** @param range the request's header; null for the whole file */
    public static void write(WavFile file, String range, CacheControl caching, HttpServletResponse response)
            throws IOException {
        write("audio/wav", file.size(), file::write, range, caching, response);
    }

    /** @param range the request's header; null for the whole file */
    public static void write(
            String type, long size, Stretch file, String range, CacheControl caching, HttpServletResponse response)
            throws IOException {
        response.setContentType(type);
        response.setHeader(HttpHeaders.ACCEPT_RANGES, "bytes");
        response.setHeader(HttpHeaders.CACHE_CONTROL, caching.getHeaderValue());
        HttpRange wanted = wanted(range);
        if (wanted == null) {
            response.setContentLengthLong(size);
            file.write(0, size, response.getOutputStream());
            return;
        }
        if (wanted.getRangeStart(size) >= size) {
            response.setHeader(HttpHeaders.CONTENT_RANGE, "bytes */" + size);
            response.setStatus(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE.value());
            return;
        }
        long from = wanted.getRangeStart(size);
        long last = wanted.getRangeEnd(size);
        response.setStatus(HttpStatus.PARTIAL_CONTENT.value());
        response.setHeader(HttpHeaders.CONTENT_RANGE, "bytes " + from + "-" + last + "/" + size);
        response.setContentLengthLong(last - from + 1);
        file.write(from, last + 1, response.getOutputStream());
    }

    /**
     * A header that can't be read, or asks for several ranges, is passed over as the RFC allows: the whole is answered.
     */
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
