package org.logophon.app.platform.web;

import java.beans.PropertyEditorSupport;
import org.springframework.boot.jackson.JacksonComponent;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.jdk.StringDeserializer;

/** Every text that comes in, by a form, an address or as JSON, is one that can be stored. */
@ControllerAdvice
class ReceivedText {

    @InitBinder
    void forms(WebDataBinder binder) {
        binder.registerCustomEditor(String.class, new PropertyEditorSupport() {
            @Override
            public void setAsText(String text) {
                setValue(text == null ? null : StorableText.of(text));
            }
        });
    }

    /** In JSON. */
    @JacksonComponent(type = String.class)
    static class Strings extends ValueDeserializer<String> {
        @Override
        public String deserialize(JsonParser in, DeserializationContext context) {
            String text = StringDeserializer.instance.deserialize(in, context);
            return text == null ? null : StorableText.of(text);
        }
    }
}
