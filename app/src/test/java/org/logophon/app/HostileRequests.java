package org.logophon.app;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.multipart.MultipartFile;

/** Makes requests that no page of ours would send, from a seed. */
final class HostileRequests {

    /** Would be an element if a page brought it as it came. */
    static final String MARKER = "<b id=hostile>";

    /** Stands in everything that is typed, and never in a log. */
    static final String TYPED = "zqtyped";

    private static final List<String> VALUES = List.of(
            "",
            " ",
            "a",
            "0",
            "1",
            "-1",
            "42949672960",
            "4294967396",
            "NaN",
            "Infinity",
            "1e999",
            "0x1p4",
            "٣",
            "1,5",
            "true",
            "null",
            "{}",
            "[]",
            "%",
            "isla",
            "en-GB",
            "Narrator",
            "pace",
            "pitch",
            "CUE",
            "REPLACE",
            "WRITE",
            "DIRECT",
            "2147483647",
            "-2147483648",
            "9".repeat(40),
            MARKER + TYPED,
            "'; drop table cue; --" + TYPED,
            "../../etc/passwd",
            "a\0b" + TYPED,
            "\uD83D\uDE00",
            "\uFFFF",
            "\uD800",
            TYPED.repeat(1500),
            "\r\nSet-Cookie: a=b",
            "${7*7}",
            "[[${7*7}]]",
            "<script>" + TYPED);
    /** What a page would send: a request that is right but for one value comes further. */
    private static final Map<String, String> PLAUSIBLE = Map.ofEntries(
            Map.entry("version", "1"),
            Map.entry("step", "WRITE"),
            Map.entry("role", "Narrator"),
            Map.entry("kind", "pace"),
            Map.entry("value", "90"),
            Map.entry("start", "0"),
            Map.entry("end", "3"),
            Map.entry("voice", "isla"),
            Map.entry("scope", "CUE"),
            Map.entry("how", "add"),
            Map.entry("name", "Fog"),
            Map.entry("written", "lamp"),
            Map.entry("said", "lantern"),
            Map.entry("as", "words"),
            Map.entry("what", "lamp"),
            Map.entry("with", "light"),
            Map.entry("text", "Fog till noon."),
            Map.entry("at", "5"),
            Map.entry("agreed", "0"),
            Map.entry("pace", "100"),
            Map.entry("pitch", "0"),
            Map.entry("stars", "3"),
            Map.entry("note", "deep"),
            Map.entry("groups", "old"),
            Map.entry("word", "very"),
            Map.entry("target", "6:00"),
            Map.entry("line", "Fog."));

    private static final List<String> ACCEPTS = List.of(
            "text/html",
            "application/json",
            "*/*",
            "image/png",
            "text/event-stream",
            "nonsense",
            "text/html;q=x",
            "application/xml");
    private static final List<String> TYPES =
            List.of("text/plain", "application/xml", "nonsense", "multipart/form-data", "application/octet-stream");

    /** An address of the application. */
    record Address(String method, String pattern, HandlerMethod handler) {}

    /** A request. @param type null for none @param body null for none */
    record Asked(String method, String path, String accept, String type, byte[] body) {
        @Override
        public String toString() {
            String sent = body == null ? "" : new String(body, StandardCharsets.UTF_8);
            return method + " " + path.substring(0, Math.min(300, path.length())) + " Accept: " + accept + " Type: "
                    + type + " " + sent.substring(0, Math.min(200, sent.length()));
        }
    }

    private final Random random;
    private final List<Address> addresses;
    private List<String> own = List.of();
    private List<String> other = List.of();

    HostileRequests(long seed, List<Address> addresses) {
        this.random = new Random(seed);
        this.addresses = addresses;
    }

    /** @param own identifiers of a project, itself first, then its cues @param other of another one */
    Asked next(List<String> own, List<String> other) {
        this.own = own;
        this.other = other;
        Address address = one(addresses);
        Map<String, String> fields = new LinkedHashMap<>();
        String body = null;
        boolean files = false;
        for (MethodParameter parameter : address.handler().getMethodParameters()) {
            if (parameter.hasParameterAnnotation(RequestBody.class)) {
                body = random.nextInt(5) == 0
                        ? one(List.of("", "[", "null", "[]", "{\"items\":[null]}", "\u0000"))
                        : json(parameter.getGenericParameterType(), 0);
            } else if (parameter.hasParameterAnnotation(RequestParam.class)) {
                files |= parameter.getGenericParameterType().getTypeName().contains(MultipartFile.class.getName());
                RequestParam asked = parameter.getParameterAnnotation(RequestParam.class);
                String named = asked.name().isEmpty() ? asked.value() : asked.name();
                field(fields, named.isEmpty() ? parameterName(parameter, address) : named);
            } else if (parameter.getParameterType().isRecord()
                    && !parameter.hasParameterAnnotation(PathVariable.class)) {
                for (RecordComponent component : parameter.getParameterType().getRecordComponents()) {
                    field(fields, component.getName());
                }
            }
        }
        String path = path(address.pattern());
        String form = fields.entrySet().stream()
                .map(field -> field.getKey() + "=" + encoded(field.getValue()))
                .collect(Collectors.joining("&"));
        if (address.method().equals("GET")) {
            return new Asked("GET", form.isEmpty() ? path : path + "?" + form, one(ACCEPTS), null, null);
        }
        String type = body != null
                ? "application/json"
                : files ? "multipart/form-data; boundary=x" : "application/x-www-form-urlencoded";
        byte[] sent = (body != null ? body : files ? multipart(fields) : form).getBytes(StandardCharsets.UTF_8);
        if (random.nextInt(12) == 0) {
            sent = new byte[] {(byte) 0xC3, 0x28, (byte) 0xFF, '=', (byte) 0xFE};
        }
        return new Asked(
                random.nextInt(20) == 0 ? one(List.of("GET", "POST", "PUT", "DELETE", "PATCH")) : address.method(),
                path,
                one(ACCEPTS),
                random.nextInt(10) == 0 ? one(TYPES) : type,
                sent);
    }

    private void field(Map<String, String> fields, String name) {
        // now and then one is missing
        if (random.nextInt(8) > 0) {
            fields.put(name, random.nextInt(3) > 0 ? PLAUSIBLE.getOrDefault(name, value()) : value());
        }
    }

    private static String parameterName(MethodParameter parameter, Address address) {
        return address.handler()
                .getMethod()
                .getParameters()[parameter.getParameterIndex()]
                .getName();
    }

    private String path(String pattern) {
        StringBuilder path = new StringBuilder();
        for (String part : pattern.split("(?=\\{)|(?<=\\})")) {
            if (!part.startsWith("{")) {
                path.append(part);
            } else if (part.equals("{id}") && random.nextInt(6) > 0) {
                path.append(own.get(0));
            } else {
                path.append(
                        encoded(random.nextBoolean() ? identifier() : value()).replace("+", "%20"));
            }
        }
        return path.toString();
    }

    private String identifier() {
        return switch (random.nextInt(4)) {
            case 0 -> UUID.randomUUID().toString();
            case 1 -> one(other);
            default -> one(own);
        };
    }

    private String value() {
        return random.nextInt(4) == 0 ? identifier() : one(VALUES);
    }

    private String json(Type type, int depth) {
        if (random.nextInt(8) == 0) {
            return "null";
        }
        if (type instanceof ParameterizedType of && depth < 4) {
            Type inner = of.getActualTypeArguments()[of.getActualTypeArguments().length - 1];
            return random.nextInt(4) == 0
                    ? "[null]"
                    : "[" + json(inner, depth + 1) + "," + json(inner, depth + 1) + "]";
        }
        if (type instanceof Class<?> record && record.isRecord() && depth < 4) {
            List<String> fields = new ArrayList<>();
            for (RecordComponent component : record.getRecordComponents()) {
                fields.add("\"" + component.getName() + "\":" + json(component.getGenericType(), depth + 1));
            }
            return "{" + String.join(",", fields) + "}";
        }
        if (type instanceof Class<?> simple && (simple.isPrimitive() || Number.class.isAssignableFrom(simple))) {
            return one(List.of("0", "1", "-1", "42949672960", "1e999", "\"x\"", "2147483647", "true", "1.5"));
        }
        return "\""
                + value().replace("\\", "\\\\")
                        .replace("\"", "\\\"")
                        .replace("\0", "\\u0000")
                        .replace("\r\n", "\\n") + "\"";
    }

    private String multipart(Map<String, String> fields) {
        StringBuilder body = new StringBuilder();
        fields.forEach((name, value) -> {
            String file = name.equals("files")
                    ? "; filename=\"" + one(List.of("a.txt", "a.md", "../a.csv", "a.ssml", "")) + "\""
                    : "";
            body.append("--x\r\nContent-Disposition: form-data; name=\"")
                    .append(name)
                    .append('"')
                    .append(file)
                    .append("\r\n\r\n")
                    .append(value)
                    .append("\r\n");
        });
        return body + (random.nextInt(6) == 0 ? "" : "--x--\r\n");
    }

    private static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8);
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }
}
