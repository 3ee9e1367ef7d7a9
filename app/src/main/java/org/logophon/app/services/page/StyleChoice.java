package org.logophon.app.services.page;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.direction.style.Style;
import org.logophon.core.voice.Voice;

/** A style to choose. @param own true when the voice has its own way of it */
public record StyleChoice(String value, boolean own) {

    /** Ours, then those that only this voice has. @param voice null for none */
    public static List<StyleChoice> of(Voice voice) {
        List<String> own = voice == null ? List.of() : voice.styles();
        List<StyleChoice> choices = new ArrayList<>(List.of(new StyleChoice(DirectionForm.PLAIN, false)));
        Arrays.stream(Style.values())
                .forEach(style -> choices.add(new StyleChoice(style.id(), own.contains(style.id()))));
        own.stream()
                .filter(style -> Style.named(style).isEmpty())
                .forEach(style -> choices.add(new StyleChoice(style, true)));
        return choices;
    }

    /** As a list shows it. */
    public String title() {
        return own ? value + ", its own way" : value;
    }
}
