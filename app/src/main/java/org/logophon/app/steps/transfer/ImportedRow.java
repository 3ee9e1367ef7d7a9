package org.logophon.app.steps.transfer;

import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.IllformedLocaleException;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.StorableText;
import org.logophon.core.input.InvalidInput;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One row of a project file, before it is stored. Every way of reading a column refuses what can't be there, with a
 * sentence that names the file's table and line.
 *
 * @param entry name of the row's table in the file
 * @param line  counted from 1
 */
record ImportedRow(String entry, int line, ObjectNode columns) {

    private static final int EARLIEST_YEAR = 2000;
    private static final int LATEST_YEAR = 2199;
    private static final int LONGEST_TAG = 60;

    boolean has(String column) {
        return !columns.path(column).isMissingNode() && !columns.path(column).isNull();
    }

    /** Null where the column says nothing. */
    String text(String column) {
        return has(column) ? columns.get(column).asString("") : null;
    }

    Integer integer(String column) {
        return has(column) ? columns.get(column).asInt() : null;
    }

    Double decimal(String column) {
        return has(column) ? columns.get(column).asDouble() : null;
    }

    /** @throws Refused when it is no text, can't be stored, or is longer */
    void checkText(String column, int longest) {
        JsonNode value = columns.get(column);
        if (!value.isString()) {
            throw refused("%s is no text".formatted(column));
        }
        String text = value.asString();
        if (text.length() > longest) {
            throw refused("%s has %,d characters, and %,d are possible".formatted(column, text.length(), longest));
        }
        if (!StorableText.of(text).equals(text)) {
            throw refused("%s has characters that are no text".formatted(column));
        }
    }

    void checkWhole(String column, long least, long most) {
        JsonNode value = columns.get(column);
        if (!value.isIntegralNumber() || !value.canConvertToLong()) {
            throw refused("%s is no whole number".formatted(column));
        }
        if (value.asLong() < least || value.asLong() > most) {
            throw refused("%s is %d, and %d to %d are possible".formatted(column, value.asLong(), least, most));
        }
    }

    void checkFinite(String column, double most) {
        JsonNode value = columns.get(column);
        if (!value.isNumber() || !Double.isFinite(value.asDouble()) || Math.abs(value.asDouble()) > most) {
            throw refused("%s is no number that it can be".formatted(column));
        }
    }

    void checkTime(String column) {
        try {
            int year = OffsetDateTime.parse(columns.get(column).asString("")).getYear();
            if (year >= EARLIEST_YEAR && year <= LATEST_YEAR) {
                return;
            }
        } catch (DateTimeParseException none) {
            // said below
        }
        throw refused("%s is no time".formatted(column));
    }

    void checkFlag(String column) {
        if (!columns.get(column).isBoolean()) {
            throw refused("%s is neither true nor false".formatted(column));
        }
    }

    void checkId(String column) {
        if (!ImportedIds.isId(columns.get(column).asString(""))) {
            throw refused("%s is no id".formatted(column));
        }
    }

    /** @param characters of all its values together, as they are written */
    void checkList(String column, int characters) {
        if (!columns.get(column).isArray()) {
            throw refused("%s is no list".formatted(column));
        }
        checkSize(column, characters);
    }

    void checkSize(String column, int characters) {
        if (columns.get(column).toString().length() > characters) {
            throw refused("%s is larger than any can be".formatted(column));
        }
    }

    /** The column's value in capitals, as names of kinds stand in the application; empty where it says nothing. */
    String kind(String column) {
        return has(column) ? text(column).toUpperCase(Locale.ROOT) : "";
    }

    String json(String column) {
        return columns.get(column).toString();
    }

    /** Where the column says something. */
    void checkWithin(String column, long least, long most) {
        if (has(column) && !(decimal(column) >= least && decimal(column) <= most)) {
            throw refused("%s is outside of %,d to %,d".formatted(column, least, most));
        }
    }

    void checkName(String column) {
        String name = has(column) ? text(column) : "";
        if (name.isBlank() || name.chars().anyMatch(Character::isISOControl)) {
            throw refused(column + " is no name");
        }
    }

    /** A BCP 47 tag. */
    void checkLanguage(String column) {
        try {
            String tag = has(column) ? text(column) : "";
            if (tag.length() <= LONGEST_TAG) {
                new Locale.Builder().setLanguageTag(tag);
                return;
            }
        } catch (IllformedLocaleException none) {
            // said below
        }
        throw refused(column + " is no language");
    }

    /** Each value of a list, if there is one: a whole number, 0 or more. */
    void checkPlaces(String column) {
        columns.path(column).forEach(value -> {
            if (!value.isIntegralNumber() || !value.canConvertToInt() || value.asInt() < 0) {
                throw refused(column + " is no list of places");
            }
        });
    }

    /** Each value of a list, if there is one: a number, or nothing. */
    void checkNumbers(String column) {
        columns.path(column).forEach(value -> {
            if (!value.isNull() && !(value.isNumber() && Double.isFinite(value.asDouble()))) {
                throw refused(column + " is no list of numbers");
            }
        });
    }

    /**
     * Makes of the row what the application makes of it, which refuses what isn't allowed by hand either.
     *
     * @param what that is made, for the sentence
     */
    <T> T made(String what, Supplier<T> making) {
        try {
            return making.get();
        } catch (RuntimeException unfit) {
            throw refused(sentence(unfit).orElse("it is no " + what));
        }
    }

    /** What is said of it for people, however deep inside. */
    private static Optional<String> sentence(Throwable unfit) {
        for (Throwable cause = unfit; cause != null; cause = cause.getCause()) {
            if (cause instanceof Refused || cause instanceof InvalidInput) {
                return Optional.of(cause.getMessage().replaceAll("\\.$", ""));
            }
        }
        return Optional.empty();
    }

    Refused refused(String why) {
        return ProjectZip.broken("line %d of %s: %s".formatted(line, entry, why));
    }
}
