package org.logophon.speech.worker;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Festival beside this process: it reads Scheme from a pipe as long as this one lives. A text reaches it as a string
 * and nothing else, sentence by sentence, as it was made to be given it.
 */
final class Festival {

    /** The rest of the worker has small stacks; Scheme needs its usual one. */
    private static final String STACK = "--stack=8388608:";

    private static final Path VOICES = Path.of("/usr/share/festival/voices");
    /** A byte of a letter may look like an end of line: a sentence ends at a stop. */
    private static final String ENDED = "(?s).*[.!?:;][\"')]*[ \n]+";

    private static final String END = "LOGOPHON-END";
    private static final int WAV_HEAD = 44;
    private static final int RATE_AT = 24;

    private final Process process;
    private final BufferedWriter scheme;
    private final BufferedReader said;
    private final Path wav;
    private final Set<String> voices;
    private String voice = "";

    Festival() {
        try {
            voices = installed();
            process = new ProcessBuilder("prlimit", STACK, "festival", "--pipe")
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            scheme = process.outputWriter(StandardCharsets.ISO_8859_1);
            said = process.inputReader(StandardCharsets.ISO_8859_1);
            wav = Files.createTempFile("logophon-festival", ".wav");
            wav.toFile().deleteOnExit();
        } catch (IOException e) {
            throw new IllegalStateException("Festival can't be started. Install the package festival.", e);
        }
    }

    /** False when it has ended, or was started before a voice was there: it looks for voices when it starts. */
    boolean has(String voice) {
        return process.isAlive() && voices.contains(voice);
    }

    void end() {
        process.destroyForcibly();
    }

    private static Set<String> installed() throws IOException {
        try (Stream<Path> folders = Files.walk(VOICES, 2)) {
            return folders.map(folder -> folder.getFileName().toString()).collect(Collectors.toSet());
        }
    }

    /**
     * Speaks a text.
     *
     * @param text a character for each byte, in whatever characters the voice reads
     * @param pace 1 for the voice's own, 2 for twice as fast
     * @return words as the place of their token in the text and their first sample in turn, pauses as phonemes
     */
    Espeak.Spoken speak(String wanted, String text, float pace, int limitSamples) {
        try {
            choose(wanted);
            Spoken spoken = new Spoken(text, limitSamples);
            BreakIterator sentences = BreakIterator.getSentenceInstance(Locale.ROOT);
            sentences.setText(text);
            int from = sentences.first();
            for (int to = sentences.next(); to != BreakIterator.DONE; to = sentences.next()) {
                if (to < text.length() && !text.substring(from, to).matches(ENDED)) {
                    continue;
                }
                String sentence = text.substring(from, to).strip();
                from = to;
                if (sentence.chars().anyMatch(Character::isLetterOrDigit)) {
                    say(sentence, pace, spoken);
                }
            }
            return spoken.whole();
        } catch (IOException e) {
            process.destroyForcibly();
            throw new IllegalArgumentException(
                    "The voice can't speak this text. Change its wording, or cast another voice.", e);
        }
    }

    private void choose(String wanted) throws IOException {
        if (!wanted.matches("[a-z0-9_]+")) {
            throw new IllegalArgumentException("Festival has no voice of that name.");
        }
        if (!wanted.equals(voice)) {
            // what one voice sets isn't always set anew by the next
            send("(set! hts_engine_params nil)(voice_" + wanted + ")(define logophon_params hts_engine_params)"
                    + "(define logophon_stretch (Parameter.get 'Duration_Stretch))"
                    // Czech voices vary their melody by chance: the same words must sound the same
                    + "(if (symbol-bound? 'czech-randomize) (set! czech-randomize nil))");
            voice = wanted;
        }
    }

    private void say(String sentence, float pace, Spoken spoken) throws IOException {
        String literal = sentence.replace("\\", "\\\\").replace("\"", "\\\"").replaceAll("\\s+", " ");
        send("(if logophon_params (set! hts_engine_params (append logophon_params (list (list \"-r\" " + pace + "))))"
                + " (Parameter.set 'Duration_Stretch (/ (if logophon_stretch logophon_stretch 1) " + pace + ")))"
                + "(set! u (Utterance Text \"" + literal + "\"))(utt.synth u)(utt.save.wave u \"" + wav + "\" 'riff)"
                + "(mapcar (lambda (w) (format t \"W\\t%s\\t%f\\n\" (item.feat w \"R:Token.parent.name\")"
                + " (item.feat w \"R:SylStructure.daughter1.daughter1.segment_start\"))) (utt.relation.items u 'Word))"
                + "(mapcar (lambda (s) (format t \"S\\t%s\\t%f\\n\" (item.name s) (item.feat s \"end\")))"
                + " (utt.relation.items u 'Segment))(format t \"" + END + "\\n\")(fflush nil)");
        spoken.sentence();
        for (String line = said.readLine(); !END.equals(line); line = said.readLine()) {
            if (line == null) {
                throw new IOException("Festival ended at this text.");
            }
            spoken.told(line.split("\t"));
        }
        spoken.sound(Files.readAllBytes(wav));
    }

    private void send(String commands) throws IOException {
        scheme.write(commands);
        scheme.newLine();
        scheme.flush();
    }

    /** What comes together of the sentences. */
    private static final class Spoken {

        private final String text;
        private final int limitSamples;
        private final List<short[]> sounds = new ArrayList<>();
        private final List<double[]> words = new ArrayList<>();
        private final List<double[]> segments = new ArrayList<>();
        private final List<String> names = new ArrayList<>();
        private int rate;
        private int samples;
        private int place;
        private int from;
        private String token;
        private double start;
        private double last;

        Spoken(String text, int limitSamples) {
            this.text = text;
            this.limitSamples = limitSamples;
        }

        void sentence() {
            token = null;
            start = 0;
            last = -1;
        }

        void told(String[] cells) {
            if (cells[0].equals("W") && cells.length == 3) {
                word(cells[1], Double.parseDouble(cells[2]));
            } else if (cells[0].equals("S") && cells.length == 3) {
                segments.add(new double[] {sounds.size(), start, cells[1].equals("pau") ? 1 : 0});
                names.add(cells[1].replaceAll("\\s", ""));
                start = Double.parseDouble(cells[2]);
            }
        }

        /** A written token may be several spoken words; a word without sounds of its own stands at no time. */
        private void word(String of, double seconds) {
            if (!of.equals(token)) {
                int found = text.indexOf(of, from);
                place = found >= 0 ? found : from;
                from = found >= 0 ? found + of.length() : from;
                token = of;
            }
            if (seconds > last) {
                words.add(new double[] {sounds.size(), place, seconds});
                last = seconds;
            }
        }

        /** A RIFF file as Festival writes it: one channel of 16 bits behind a head of 44 bytes. */
        void sound(byte[] riff) throws IOException {
            if (riff.length < WAV_HEAD) {
                throw new IOException("Festival made no sound of this text.");
            }
            ByteBuffer bytes = ByteBuffer.wrap(riff).order(ByteOrder.LITTLE_ENDIAN);
            rate = bytes.getInt(RATE_AT);
            short[] sound = new short[(riff.length - WAV_HEAD) / Short.BYTES];
            bytes.position(WAV_HEAD)
                    .slice()
                    .order(ByteOrder.LITTLE_ENDIAN)
                    .asShortBuffer()
                    .get(sound);
            samples += sound.length;
            if (samples > limitSamples) {
                throw new IllegalArgumentException("This text makes more sound than one cue can hold. Split the cue.");
            }
            sounds.add(sound);
        }

        Espeak.Spoken whole() {
            if (sounds.isEmpty()) {
                throw new IllegalArgumentException("The voice makes no sound of this text. Change its wording.");
            }
            short[] all = new short[samples];
            int[] starts = new int[sounds.size()];
            int at = 0;
            for (int i = 0; i < starts.length; i++) {
                starts[i] = at;
                System.arraycopy(sounds.get(i), 0, all, at, sounds.get(i).length);
                at += sounds.get(i).length;
            }
            int[] placed = new int[2 * words.size()];
            for (int i = 0; i < words.size(); i++) {
                double[] word = words.get(i);
                placed[2 * i] = (int) word[1];
                placed[2 * i + 1] = starts[(int) word[0]] + (int) Math.round(word[2] * rate);
            }
            int[] phonemes = new int[2 * segments.size()];
            for (int i = 0; i < segments.size(); i++) {
                double[] segment = segments.get(i);
                phonemes[2 * i] = starts[(int) segment[0]] + (int) Math.round(segment[1] * rate);
                phonemes[2 * i + 1] = (int) segment[2];
            }
            return new Espeak.Spoken(rate, all, placed, phonemes, names);
        }
    }
}
