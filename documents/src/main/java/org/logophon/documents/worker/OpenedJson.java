package org.logophon.documents.worker;

import org.logophon.core.direction.mark.Instruction;
import org.logophon.documents.OpenedDocument;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** An opened document as JSON, between two processes of the same version. */
public final class OpenedJson {

    private static final JsonMapper JSON = JsonMapper.builder()
            .addModule(new SimpleModule()
                    .addSerializer(Instruction.class, new InstructionWriter())
                    .addDeserializer(Instruction.class, new InstructionReader()))
            .build();

    private OpenedJson() {}

    public static byte[] write(OpenedDocument opened) {
        return JSON.writeValueAsBytes(opened);
    }

    public static OpenedDocument read(byte[] json) {
        return JSON.readValue(json, OpenedDocument.class);
    }

    private record Written(String kind, String value) {}

    private static final class InstructionWriter extends ValueSerializer<Instruction> {
        @Override
        public void serialize(Instruction instruction, JsonGenerator out, SerializationContext context) {
            context.writeValue(out, new Written(instruction.id(), instruction.value()));
        }
    }

    private static final class InstructionReader extends ValueDeserializer<Instruction> {
        @Override
        public Instruction deserialize(JsonParser in, DeserializationContext context) {
            Written written = context.readValue(in, Written.class);
            return Instruction.of(written.kind(), written.value());
        }
    }
}
