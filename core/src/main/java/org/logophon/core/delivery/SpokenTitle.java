package org.logophon.core.delivery;

import com.ibm.icu.text.MeasureFormat;
import com.ibm.icu.text.MeasureFormat.FormatWidth;
import com.ibm.icu.util.Measure;
import com.ibm.icu.util.MeasureUnit;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import org.logophon.core.time.programme.SampleCount;

/** What is said before a programme: its title, and how long it runs (units by CLDR). */
public final class SpokenTitle {

    private SpokenTitle() {}

    /** {@code The Lantern Room. 5 minutes, 42 seconds.} @param language BCP 47 */
    public static String of(String title, SampleCount length, String language) {
        long seconds = Math.max(1, Math.round(length.seconds()));
        List<Measure> measures = new ArrayList<>();
        add(measures, seconds / 3_600, MeasureUnit.HOUR);
        add(measures, seconds / 60 % 60, MeasureUnit.MINUTE);
        add(measures, seconds % 60, MeasureUnit.SECOND);
        String runs = MeasureFormat.getInstance(ULocale.forLanguageTag(language), FormatWidth.WIDE)
                .formatMeasures(measures.toArray(Measure[]::new));
        String name = title.strip();
        return (name.isEmpty() || name.matches(".*[.!?…]") ? name : name + ".") + " " + runs + ".";
    }

    private static void add(List<Measure> measures, long count, MeasureUnit unit) {
        if (count > 0) {
            measures.add(new Measure(count, unit));
        }
    }
}
