package org.logophon.speech.worker;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.FileDescriptor;
import java.io.FileInputStream;
import java.io.FileOutputStream;
import java.io.IOException;

/** A worker process: serves one request after another until its input ends. */
public final class WorkerMain {

    /** A whole sentence of sound fits: fewer changes between the two processes. */
    private static final int PIPE_BYTES = 1 << 20;

    private final DataInputStream in;
    private final DataOutputStream out;
    private final String espeakHome;
    private Espeak espeak;
    private Flite flite;
    private Festival festival;
    private Soxr soxr;

    private WorkerMain(DataInputStream in, DataOutputStream out, String espeakHome) {
        this.espeakHome = espeakHome;
        this.in = in;
        this.out = out;
    }

    /** @param args the engine's data folder; empty when none is installed */
    public static void main(String[] args) throws IOException {
        CLibrary c = CLibrary.load();
        c.fcntl(0, CLibrary.SET_PIPE_SIZE, PIPE_BYTES);
        c.fcntl(1, CLibrary.SET_PIPE_SIZE, PIPE_BYTES);
        DataInputStream in =
                new DataInputStream(new BufferedInputStream(new FileInputStream(FileDescriptor.in), 1 << 13));
        DataOutputStream out =
                new DataOutputStream(new BufferedOutputStream(new FileOutputStream(FileDescriptor.out), 1 << 13));
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
                ? "A speech library is missing. Install the packages libespeak-ng1, espeak-ng-data, "
                        + "libflite1 and libsoxr0."
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
            case Frames.SPEAK_FLITE -> {
                String voice = Frames.readText(in);
                String text = Frames.readText(in);
                send(flite().speak(voice, text, in.readFloat(), Frames.MOST_SAMPLES));
            }
            case Frames.SPEAK_FESTIVAL -> {
                String voice = Frames.readText(in);
                String text = Frames.readText(in);
                send(festival(voice).speak(voice, text, in.readFloat(), Frames.MOST_SAMPLES));
            }
            case Frames.SOUNDS -> {
                String voice = Frames.readText(in);
                String sounds = espeak().sounds(voice, Frames.readText(in));
                ok();
                Frames.writeText(out, sounds);
            }
            case Frames.RESAMPLE -> {
                int from = in.readInt();
                int to = in.readInt();
                byte[] resampled = soxr().resample(Frames.readBytes(in, Frames.MOST_SAMPLES, Float.BYTES), from, to);
                ok();
                Frames.writeBytes(out, resampled.length / Float.BYTES, resampled);
            }
            default -> throw new IOException("Operation " + operation + " is unknown.");
        }
    }

    private void speak() throws IOException {
        String voice = Frames.readText(in);
        String text = Frames.readText(in);
        int wordsPerMinute = in.readInt();
        int pitch = in.readInt();
        send(espeak().speak(voice, text, wordsPerMinute, pitch, Frames.MOST_SAMPLES));
    }

    private void send(Espeak.Spoken spoken) throws IOException {
        ok();
        out.writeInt(spoken.rate());
        Frames.writeShorts(out, spoken.samples());
        Frames.writeInts(out, spoken.words());
        Frames.writeInts(out, spoken.phonemes());
        Frames.writeText(out, String.join(" ", spoken.names()));
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

    private Flite flite() {
        if (flite == null) {
            flite = new Flite();
        }
        return flite;
    }

    /** One that ended at a text is followed by another. */
    private Festival festival(String voice) {
        if (festival == null || !festival.has(voice)) {
            if (festival != null) {
                festival.end();
            }
            festival = new Festival();
        }
        return festival;
    }

    private Soxr soxr() {
        if (soxr == null) {
            soxr = new Soxr();
        }
        return soxr;
    }
}
