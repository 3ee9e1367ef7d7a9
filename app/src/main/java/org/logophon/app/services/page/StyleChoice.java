package org.logophon.app.services.page;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.style.Style;
import org.logophon.core.voice.Voice;

/** A style to choose. @param own true when the voice has its own way of it */
public record StyleChoice(String value, boolean own) {

    /** Ours, then those that only this voice has. @param voice null for none */
    public static List<StyleChoice> of(Voice voice) {
        List<String> own = voice == null ? List.of() : voice.styles();
        List<StyleChoice> choices = new ArrayList<>(List.of(new StyleChoice(DirectionForm.PLAIN, false)));
        Style.offered().forEach(style -> choices.add(new StyleChoice(style.id(), own.contains(style.id()))));
        own.stream()
                .filter(style ->
                        Style.offered().stream().noneMatch(ours -> ours.id().equals(style)))
                .forEach(style -> choices.add(new StyleChoice(style, true)));
        return choices;
    }

    /** Whether it is the style that is set, by this name or an earlier one. */
    public boolean is(String style) {
        return value.equals(style)
                || Style.named(style).filter(ours -> ours.id().equals(value)).isPresent();
    }

    /** As a list shows it. */
    public String title() {
        return own ? value + ", its own way" : value;
    }
}
