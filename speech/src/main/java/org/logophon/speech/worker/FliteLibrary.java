package org.logophon.speech.worker;

import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.NativeLibrary;
import com.sun.jna.Pointer;

/** The part of Flite 2.2 ({@code flite.h}) that is used. */
interface FliteLibrary extends Library {

    /** Offsets in {@code cst_voice}, {@code cst_relation} and {@code cst_wave} on 64-bit machines. */
    int VOICE_FEATURES = 8;

    int RELATION_HEAD = 24;
    int WAVE_RATE = 8;
    int WAVE_LENGTH = 12;
    int WAVE_SAMPLES = 24;

    static FliteLibrary load() {
        return Native.load("flite", FliteLibrary.class);
    }

    /**
     * A voice with its own library, which registers it.
     *
     * @param library kept as long as the voice: one that nothing refers to is unloaded, and the voice's data with it
     */
    record Registered(NativeLibrary library, Pointer voice) {

        static Registered of(String name) {
            NativeLibrary library = NativeLibrary.getInstance("flite_" + name);
            return new Registered(library, (Pointer)
                    library.getFunction("register_" + name).invoke(Pointer.class, new Object[] {null}));
        }
    }

    int flite_init();

    Pointer flite_synth_text(String text, Pointer voice);

    void delete_utterance(Pointer utterance);

    Pointer utt_wave(Pointer utterance);

    Pointer utt_relation(Pointer utterance, String name);

    Pointer item_next(Pointer item);

    Pointer path_to_item(Pointer item, String path);

    String ffeature_string(Pointer item, String path);

    float ffeature_float(Pointer item, String path);

    /** @param name the library keeps this very pointer: it must stay where it is */
    void feat_set_float(Pointer features, Pointer name, float value);
}
