package org.logophon.core.text.normalization;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** Versions of software and addresses of machines. */
final class Versions {

    private Versions() {}

    static List<Rule> rules(English english) {
        return List.of(
                Rule.of(
                        FormKind.VERSION,
                        "(?<![\\w.])(?:25[0-5]|2[0-4]\\d|1?\\d?\\d)(?:\\.(?:25[0-5]|2[0-4]\\d|1?\\d?\\d)){3}(?![\\w]|\\.\\d)",
                        m -> List.of(Arrays.stream(m.group().split("\\."))
                                .map(english::digits)
                                .collect(Collectors.joining(" dot ")))),
                Rule.of(
                        FormKind.VERSION,
                        "(?<![\\p{L}\\p{N}.])[vV]\\.? ?(\\d{1,5}(?:\\.\\d{1,5}){0,4})(?![\\p{L}\\p{N}])",
                        m -> List.of("version " + points(english, m.group(1)))),
                Rule.of(
                        FormKind.VERSION,
                        "(?<![\\p{L}\\p{N}.,/])(?!\\d{1,2}\\.\\d{1,2}\\.\\d{4})\\d{1,4}(?:\\.\\d{1,4}){2,3}(?![\\p{L}\\p{N}]|[.,]\\d)",
                        m -> List.of(points(english, m.group()))));
    }

    private static String points(English english, String version) {
        return Arrays.stream(version.split("\\.")).map(english::cardinal).collect(Collectors.joining(" point "));
    }
}
