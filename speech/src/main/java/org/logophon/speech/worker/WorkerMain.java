package org.logophon.speech.worker;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;

/** A worker process: serves one request after another until its input ends. */
public final class WorkerMain {

    private final DataInputStream in;
    private final DataOutputStream out;
    private final String espeakHome;
    private Espeak espeak;
    private Soxr soxr;

    private WorkerMain(DataInputStream in, DataOutputStream out, String espeakHome) {
        this.espeakHome = espeakHome;
        this.in = in;
        this.out = out;
    }

    /** @param args the engine's data folder; empty when none is installed */
    public static void main(String[] args) throws IOException {
        DataInputStream in = new DataInputStream(new BufferedInputStream(System.in, 1 << 16));
        DataOutputStream out = new DataOutputStream(new BufferedOutputStream(System.out, 1 << 16));
        new WorkerMain(in, out, args[0]).serve();
    }

    private void serve() throws IOException {
        while (true) {
            int operation;
            try {
                operation = in.readByte();
            } catch (EOFException end) {
                return;
            }
            try {
                answer(operation);
            } catch (IllegalArgumentException | IllegalStateException | UnsatisfiedLinkError refused) {
                out.writeInt(Frames.ANSWER);
                out.writeByte(Frames.REFUSED);
                Frames.writeText(out, sentence(refused));
            }
            out.flush();
        }
    }

    private static String sentence(Throwable refused) {
        return refused instanceof UnsatisfiedLinkError
                ? "A speech library is missing. Install the packages libespeak-ng1, espeak-ng-data and libsoxr0."
                : refused.getMessage();
    }

    private void answer(int operation) throws IOException {
        switch (operation) {
            case Frames.HELLO -> {
                String version = espeak().version();
                ok();
                Frames.writeText(out, version);
            }
            case Frames.SPEAK -> speak();
            case Frames.RESAMPLE -> {
                int from = in.readInt();
                int to = in.readInt();
                float[] resampled = soxr().resample(Frames.readFloats(in, Frames.MOST_SAMPLES), from, to);
                ok();
                Frames.writeFloats(out, resampled);
            }
            default -> throw new IOException("Operation " + operation + " is unknown.");
        }
    }

    private void speak() throws IOException {
        String voice = Frames.readText(in);
        String text = Frames.readText(in);
        int wordsPerMinute = in.readInt();
        int pitch = in.readInt();
        Espeak.Spoken spoken = espeak().speak(voice, text, wordsPerMinute, pitch, Frames.MOST_SAMPLES);
        ok();
        out.writeInt(spoken.rate());
        Frames.writeShorts(out, spoken.samples());
        Frames.writeInts(out, spoken.words());
        Frames.writeInts(out, spoken.phonemes());
    }

    private void ok() throws IOException {
        out.writeInt(Frames.ANSWER);
        out.writeByte(Frames.OK);
    }

    private Espeak espeak() {
        if (espeak == null) {
            espeak = new Espeak(espeakHome);
        }
        return espeak;
    }

    private Soxr soxr() {
        if (soxr == null) {
            soxr = new Soxr();
        }
        return soxr;
    }
}
