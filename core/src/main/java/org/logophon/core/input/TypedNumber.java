package org.logophon.core.input;

import java.util.regex.Pattern;

/**
 * A number as people type it: digits with a sign and a decimal point or comma, and nothing that only a programming
 * language takes for a number.
 */
public final class TypedNumber {

    private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+([.,]\\d*)?|[.,]\\d+)");
    /** Beyond every range that there is: a larger number becomes it, and the range that it is out of is told. */
    public static final double BEYOND = 999_999;

    private static final int SHOWN = 40;

    private TypedNumber() {}

    /**
     * @return null for an empty field
     * @throws InvalidInput with a sentence when it is no number
     */
    public static Double read(String what, String typed) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        String text = typed.strip().replace('−', '-');
        String shown = text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
        if (!NUMBER.matcher(text).matches()) {
            throw new InvalidInput(what + " is a number, and “" + shown + "” is none.");
        }
        double number = Double.parseDouble(text.replace(',', '.'));
        return Math.max(-BEYOND, Math.min(BEYOND, number));
    }

    /** @throws InvalidInput with a sentence when it is no number, or nothing */
    public static double required(String what, String typed) {
        Double number = read(what, typed);
        if (number == null) {
            throw new InvalidInput(what + " is a number, and there is none.");
        }
        return number;
    }
}
