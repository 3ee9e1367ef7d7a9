package org.logophon.speech.worker;

import com.sun.jna.Callback;
import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.PointerByReference;

/** The part of {@code speak_lib.h} (espeak-ng 1.51) that is used. Its state is global: one voice at a time. */
interface EspeakLibrary extends Library {

    int OUTPUT_SYNCHRONOUS = 2;
    int PHONEME_EVENTS = 1;
    /** Phonemes are named in IPA; a pause has no name. */
    int PHONEMES_IN_IPA = 2;

    int DONT_EXIT = 0x8000;
    int CHARS_UTF8 = 1;
    /** Phoneme mnemonics may stand in double square brackets. */
    int MNEMONICS = 0x100;

    int PARAMETER_RATE = 1;
    int PARAMETER_PITCH = 3;
    int EVENT_END = 0;
    int EVENT_WORD = 1;
    int EVENT_PHONEME = 7;

    static EspeakLibrary load() {
        return Native.load("espeak-ng", EspeakLibrary.class, java.util.Map.of(OPTION_STRING_ENCODING, "UTF-8"));
    }

    int espeak_Initialize(int output, int bufferMillis, String path, int options);

    void espeak_SetSynthCallback(SynthCallback callback);

    int espeak_SetVoiceByName(String name);

    int espeak_SetParameter(int parameter, int value, int relative);

    int espeak_Synth(
            byte[] text,
            long size,
            int position,
            int positionType,
            int endPosition,
            int flags,
            Pointer uniqueIdentifier,
            Pointer userData);

    String espeak_Info(PointerByReference path);

    /** Translates a clause. @param text moves on behind it; null at the end */
    String espeak_TextToPhonemes(PointerByReference text, int characters, int phonemeMode);

    /** Called with samples and a list of events that ends with one of type 0. */
    interface SynthCallback extends Callback {
        /** @return 0 to go on, 1 to stop */
        int invoke(Pointer wav, int samples, Pointer events);
    }
}
