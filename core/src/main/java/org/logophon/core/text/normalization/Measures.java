package org.logophon.core.text.normalization;

import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.util.MeasureUnit;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Names of units of measure, singular and plural, by CLDR's unit data (UTS #35 part 2); a few that CLDR lacks are ours.
 */
final class Measures {

    /** Symbol to CLDR identifier (SI Brochure, 9th ed., for the symbols of the SI; practice for the others). */
    private static final Map<String, String> UNITS = new LinkedHashMap<>();
    /** English names that CLDR has no unit for: one, many. */
    private static final Map<String, String[]> ENGLISH_ONLY = new LinkedHashMap<>();

    static {
        String table = "t=tonne kg=kilogram g=gram mg=milligram µg=microgram μg=microgram km=kilometer m=meter "
                + "cm=centimeter mm=millimeter "
                + "µm=micrometer μm=micrometer nm=nanometer mi=mile ft=foot yd=yard lb=pound "
                + "lbs=pound oz=ounce l=liter L=liter ml=milliliter "
                + "mL=milliliter cl=centiliter gal=gallon W=watt kW=kilowatt MW=megawatt GW=gigawatt "
                + "kWh=kilowatt-hour V=volt A=ampere mA=milliampere "
                + "Hz=hertz kHz=kilohertz MHz=megahertz GHz=gigahertz °C=celsius °F=fahrenheit "
                + "°=degree %=percent ‰=permille px=pixel MP=megapixel "
                + "mph=mile-per-hour km/h=kilometer-per-hour kph=kilometer-per-hour "
                + "m/s=meter-per-second kB=kilobyte KB=kilobyte MB=megabyte GB=gigabyte "
                + "TB=terabyte s=second sec=second secs=second ms=millisecond min=minute mins=minute "
                + "h=hour hr=hour hrs=hour J=joule kJ=kilojoule "
                + "kcal=kilocalorie cal=calorie N=newton Pa=pascal kPa=kilopascal hPa=hectopascal "
                + "bar=bar m²=square-meter km²=square-kilometer "
                + "cm²=square-centimeter ft²=square-foot m³=cubic-meter cm³=cubic-centimeter "
                + "ha=hectare lx=lux lm=lumen Ω=ohm in=inch";
        for (String entry : table.split(" ")) {
            int equals = entry.indexOf('=');
            UNITS.put(entry.substring(0, equals), entry.substring(equals + 1));
        }
        ENGLISH_ONLY.put("dB", new String[] {"decibel", "decibels"});
        ENGLISH_ONLY.put("rpm", new String[] {"revolution per minute", "revolutions per minute"});
        ENGLISH_ONLY.put("fps", new String[] {"frame per second", "frames per second"});
        ENGLISH_ONLY.put("dpi", new String[] {"dot per inch", "dots per inch"});
        ENGLISH_ONLY.put("bpm", new String[] {"beat per minute", "beats per minute"});
        ENGLISH_ONLY.put("psi", new String[] {"pound per square inch", "pounds per square inch"});
        ENGLISH_ONLY.put("mAh", new String[] {"milliamp hour", "milliamp hours"});
        ENGLISH_ONLY.put("kV", new String[] {"kilovolt", "kilovolts"});
        ENGLISH_ONLY.put("mV", new String[] {"millivolt", "millivolts"});
        ENGLISH_ONLY.put("kΩ", new String[] {"kilohm", "kilohms"});
        ENGLISH_ONLY.put("Mbps", new String[] {"megabit per second", "megabits per second"});
        ENGLISH_ONLY.put("Gbps", new String[] {"gigabit per second", "gigabits per second"});
        ENGLISH_ONLY.put("kbps", new String[] {"kilobit per second", "kilobits per second"});
        ENGLISH_ONLY.put("Mbit/s", new String[] {"megabit per second", "megabits per second"});
        ENGLISH_ONLY.put("MB/s", new String[] {"megabyte per second", "megabytes per second"});
        ENGLISH_ONLY.put("sq ft", new String[] {"square foot", "square feet"});
        ENGLISH_ONLY.put("sq m", new String[] {"square metre", "square metres"});
        ENGLISH_ONLY.put("cu ft", new String[] {"cubic foot", "cubic feet"});
        ENGLISH_ONLY.put("fl oz", new String[] {"fluid ounce", "fluid ounces"});
        ENGLISH_ONLY.put("tsp", new String[] {"teaspoon", "teaspoons"});
        ENGLISH_ONLY.put("tbsp", new String[] {"tablespoon", "tablespoons"});
    }

    private final ULocale locale;
    private final Map<String, LocalizedNumberFormatter> formatters = new ConcurrentHashMap<>();

    Measures(ULocale locale) {
        this.locale = locale;
    }

    /** Alternatives of a pattern, the longest first. */
    static String pattern(boolean english) {
        StringBuilder all = new StringBuilder();
        Map<String, Object> symbols = new LinkedHashMap<>(UNITS);
        if (english) {
            symbols.putAll(ENGLISH_ONLY);
        }
        symbols.keySet().stream()
                .sorted((a, b) -> b.length() - a.length())
                .forEach(symbol -> all.append(all.isEmpty() ? "" : "|").append(symbol.replace(" ", "[ \u00A0]")));
        return all.toString();
    }

    /** The unit's name for an amount, without the amount. */
    String name(String symbol, BigDecimal amount) {
        String known = symbol.replace('\u00A0', ' ');
        if (ENGLISH_ONLY.containsKey(known)) {
            String name = ENGLISH_ONLY.get(known)[amount.compareTo(BigDecimal.ONE) == 0 ? 0 : 1];
            return "US".equals(locale.getCountry()) ? name.replace("metre", "meter") : name;
        }
        String formatted = formatters
                .computeIfAbsent(UNITS.get(known), this::formatter)
                .format(amount)
                .toString();
        return formatted
                .replaceAll("[-−\\d.,\u00A0\u202F ]*\\d[\u00A0\u202F ]*", "")
                .replace('-', ' ')
                .strip();
    }

    private LocalizedNumberFormatter formatter(String identifier) {
        return NumberFormatter.withLocale(locale)
                .unit(MeasureUnit.forIdentifier(identifier))
                .unitWidth(NumberFormatter.UnitWidth.FULL_NAME);
    }
}
