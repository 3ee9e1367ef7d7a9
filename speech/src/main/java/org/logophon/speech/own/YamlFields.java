package org.logophon.speech.own;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.TypedNumber;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;

/**
 * The keys of one part of a YAML file. What is wrong is added to a list with its line, and reading goes on: whoever
 * writes such a file learns of everything at once.
 */
final class YamlFields {

    private final String what;
    private final int line;
    private final List<String> wrong;
    private final Map<String, Node> values = new LinkedHashMap<>();
    private final Map<String, Integer> keyLines = new HashMap<>();
    private final Set<String> asked = new TreeSet<>();

    /** @param what the part is, as in "an engine" @param wrong gets the sentences */
    YamlFields(Node node, String what, List<String> wrong) {
        this.what = what;
        this.line = line(node);
        this.wrong = wrong;
        if (node instanceof MappingNode mapping) {
            mapping.getValue().forEach(pair -> {
                if (!(pair.getKeyNode() instanceof ScalarNode key)) {
                    wrong(pair.getKeyNode(), "a key is a word.");
                    return;
                }
                keyLines.put(key.getValue(), line(key));
                if (values.put(key.getValue(), pair.getValueNode()) != null) {
                    wrong(key, "“" + key.getValue() + "” stands twice.");
                }
            });
        } else {
            wrong(node, what + " is keys with values, as in “id: reader”.");
        }
    }

    private static int line(Node node) {
        return node.getStartMark().getLine() + 1;
    }

    private void wrong(Node at, String sentence) {
        wrong(line(at), sentence);
    }

    private void wrong(int at, String sentence) {
        wrong.add("line " + at + ": " + sentence);
    }

    /** Something that only shows when the part is read whole. */
    void wrong(String sentence) {
        wrong(line, sentence);
    }

    boolean has(String key) {
        asked.add(key);
        return values.containsKey(key);
    }

    /** Never null. */
    String text(String key) {
        if (!has(key)) {
            wrong("%s needs “%s”.".formatted(what, key));
            return "";
        }
        return text(key, "");
    }

    String text(String key, String otherwise) {
        if (!has(key)) {
            return otherwise;
        }
        return scalar(values.get(key), key);
    }

    private String scalar(Node node, String key) {
        if (node instanceof ScalarNode scalar && !scalar.getValue().isBlank()) {
            return scalar.getValue().strip();
        }
        wrong(node, "“" + key + "” is a text.");
        return "";
    }

    double number(String key, double otherwise, double least, double most) {
        if (!has(key)) {
            return otherwise;
        }
        Node node = values.get(key);
        try {
            double number = TypedNumber.required("“" + key + "”", scalar(node, key));
            if (number < least || number > most) {
                wrong(node, "“%s” goes from %s to %s.".formatted(key, shown(least), shown(most)));
            }
            return Math.max(least, Math.min(most, number));
        } catch (InvalidInput none) {
            wrong(node, none.getMessage());
        }
        return otherwise;
    }

    int whole(String key, int otherwise, int least, int most) {
        double number = number(key, otherwise, least, most);
        if (number != Math.rint(number)) {
            wrong(values.get(key), "“" + key + "” is a whole number.");
        }
        return (int) number;
    }

    private static String shown(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }

    boolean yes(String key, boolean otherwise) {
        return one(key, Map.of("true", true, "false", false), otherwise);
    }

    /** One of some words. @param otherwise null when one is needed */
    <T> T one(String key, Map<String, T> choices, T otherwise) {
        String word = otherwise == null ? text(key) : text(key, "");
        if (!values.containsKey(key)) {
            return otherwise;
        }
        T chosen = choices.get(word);
        if (chosen == null && !word.isEmpty()) {
            wrong(
                    values.get(key),
                    "“%s” is %s, not “%s”."
                            .formatted(
                                    key, choices.keySet().stream().sorted().collect(Collectors.joining(" or ")), word));
        }
        return chosen == null ? otherwise : chosen;
    }

    List<String> texts(String key) {
        List<String> texts = new ArrayList<>();
        for (Node node : nodes(key, "words, as in [a, b]")) {
            if (node instanceof ScalarNode scalar) {
                texts.add(scalar.getValue());
            } else {
                wrong(node, "“" + key + "” is a list of words.");
            }
        }
        return texts;
    }

    /** Parts in a list under a key. */
    List<YamlFields> parts(String key, String each) {
        List<YamlFields> parts = new ArrayList<>();
        for (Node node : nodes(key, "entries, each begun with a dash")) {
            parts.add(new YamlFields(node, each, wrong));
        }
        return parts;
    }

    private List<Node> nodes(String key, String of) {
        if (!has(key)) {
            return List.of();
        }
        if (values.get(key) instanceof SequenceNode list) {
            return list.getValue();
        }
        wrong(values.get(key), "“" + key + "” is a list of " + of + ".");
        return List.of();
    }

    /** The part under a key; one without keys when there is none. */
    YamlFields part(String key, String itself) {
        return has(key) ? new YamlFields(values.get(key), itself, wrong) : null;
    }

    Map<String, String> pairs() {
        Map<String, String> pairs = new LinkedHashMap<>();
        values.forEach((key, value) -> {
            asked.add(key);
            if (value instanceof ScalarNode scalar) {
                pairs.put(key, scalar.getValue());
            } else {
                wrong(value, "“" + key + "” is a text.");
            }
        });
        return pairs;
    }

    /** To be called when everything was asked for: what is left is nothing that we know. */
    void end() {
        Set<String> left = new HashSet<>(values.keySet());
        left.removeAll(asked);
        left.stream()
                .sorted()
                .forEach(key -> wrong(
                        keyLines.get(key),
                        "%s has no “%s”. What it has: %s.".formatted(what, key, String.join(", ", asked))));
    }
}
