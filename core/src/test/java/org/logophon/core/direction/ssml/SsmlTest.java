package org.logophon.core.direction.ssml;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.xml.parsers.DocumentBuilderFactory;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.style.Style;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.xml.sax.InputSource;

/** SSML 1.1, W3C Recommendation 7 September 2010. */
class SsmlTest {

    private static final String LINE = "The crew, it is said, have one tide to lift “2.3 t” & <more> out.";

    private static Mark on(String words, Instruction instruction) {
        int at = LINE.indexOf(words);
        return Mark.own(at, at + words.length(), instruction);
    }

    private static SsmlCue cue(List<Mark> marks) {
        return new SsmlCue(LINE, "", Direction.NONE, new Marks(marks), List.of(), Map.of());
    }

    @Test
    void everyMarkHasItsElement() {
        String ssml = SsmlWriter.paragraph(cue(List.of(
                on("crew", new Instruction.Pause(700)),
                on("said", new Instruction.Breath(Instruction.Depth.DEEP)),
                on("one tide", new Instruction.Pace(80)),
                on("tide", new Instruction.Stress(Instruction.Level.STRONG)),
                on("lift", new Instruction.Pitch(-2.5)),
                on("more", new Instruction.Whisper()),
                on("out", new Instruction.InStyle(Style.SAD, 60)),
                on("have", new Instruction.Range(0)),
                on("is", new Instruction.Volume(3)))));
        assertThat(ssml)
                .isEqualTo("<p>The crew,<break time=\"700ms\"/> it <prosody volume=\"+3dB\">is</prosody> "
                        + "said,<mark name=\"breath-deep\"/> <prosody range=\"-100%\">have</prosody> "
                        + "<prosody rate=\"80%\">one <emphasis "
                        + "level=\"strong\">tide</emphasis></prosody> to <prosody "
                        + "pitch=\"-2.5st\">lift</prosody> “2.3 t” &amp; &lt;<prosody "
                        + "volume=\"-6dB\" score:whisper=\"true\">more</prosody>&gt; "
                        + "<prosody rate=\"93%\" pitch=\"-0.6st\" range=\"-13%\" volume=\"-1.2dB\" "
                        + "score:style=\"sad 60\">out</prosody>.</p>");
    }

    @Test
    void runsThatCrossAreWrittenInPiecesAndReadAsWhole() {
        List<Mark> marks =
                List.of(on("one tide to", new Instruction.Pace(80)), on("tide to lift", new Instruction.Pitch(2)));
        String ssml = SsmlWriter.document(List.of(cue(marks)), "en-GB");
        assertThat(SsmlReader.read(ssml).cues())
                .singleElement()
                .satisfies(read -> assertThat(read.marks()).isEqualTo(new Marks(marks)));
    }

    @Property(tries = 1500, seed = "1")
    void outAndInGivesTheSameMarks(@ForAll Random random, @ForAll @IntRange(min = 0, max = 9) int count)
            throws Exception {
        List<Word> words = Words.of(LINE);
        Marks marks = Marks.NONE;
        for (int i = 0; i < count; i++) {
            int from = random.nextInt(words.size() - 1);
            int to = Math.min(words.size() - 2, from + random.nextInt(4));
            // no two runs alike side by side: they would be read as one, and sound as one
            Instruction instruction = switch (random.nextInt(11)) {
                case 0 -> new Instruction.Pause(10 * (1 + i));
                case 1 -> new Instruction.Breath(Instruction.Depth.values()[random.nextInt(3)]);
                case 2 -> new Instruction.Stress(Instruction.Level.values()[random.nextInt(4)]);
                case 3 -> new Instruction.Pace(60 + i);
                case 4 -> new Instruction.Pitch(i - 4.5);
                case 5 -> new Instruction.Range(110 + i);
                case 6 -> new Instruction.Volume(i + 0.5);
                case 7 -> new Instruction.SpokenBy(i % 2 == 0 ? "Keeper" : "Old <Keeper> & Son");
                case 8 -> new Instruction.Language(i % 2 == 0 ? "cy" : "de-AT", i % 3 == 0);
                case 9 -> new Instruction.OwnSound(10 * (1 + i), -i - 0.5, "Bell & \"<tide>\" " + i);
                default -> new Instruction.InStyle(Style.values()[random.nextInt(8)], 10 + i);
            };
            int first = instruction.onGap() || instruction instanceof Instruction.Stress ? to : from;
            marks = marks.with(Mark.own(words.get(first).start(), words.get(to).end(), instruction), LINE);
        }
        if (alikeBesideOneAnother(marks)) {
            return;
        }
        String ssml = SsmlWriter.document(
                List.of(new SsmlCue(LINE, "isla", Direction.NONE, marks, List.of(), Map.of("Keeper", "otis"))),
                "en-GB");
        assertThat(broken(ssml)).as(ssml).isEmpty();
        SsmlReader.Document read = SsmlReader.read(ssml);
        assertThat(read.remarks()).isEmpty();
        assertThat(read.cues()).hasSize(1);
        assertThat(read.cues().get(0).text()).isEqualTo(LINE);
        assertThat(read.cues().get(0).voice()).isEqualTo("isla");
        assertThat(read.cues().get(0).marks()).as(ssml).isEqualTo(marks);
    }

    private static boolean alikeBesideOneAnother(Marks marks) {
        List<Mark> all = new ArrayList<>(marks.all());
        return all.stream()
                .anyMatch(a -> all.stream()
                        .anyMatch(b -> a != b
                                && a.instruction().equals(b.instruction())
                                && !a.instruction().onGap()));
    }

    @Test
    void aWholeCueWithStyleAndReadingsKeepsTheRules() throws Exception {
        Direction direction = new Direction(92, -1.5, 110, 2.0, null, null, null, "grave", 40);
        List<PlacedReading> readings = List.of(
                new PlacedReading(
                        LINE.indexOf("2.3 t"), new Reading("2.3 t", "", PronunciationKind.LETTERS, null, true)),
                new PlacedReading(
                        LINE.indexOf("tide"), new Reading("tide", "taɪd", PronunciationKind.IPA, null, true)));
        String ssml = SsmlWriter.document(
                List.of(
                        new SsmlCue(LINE, "isla", direction, Marks.NONE, readings, Map.of()),
                        new SsmlCue(
                                LINE,
                                "",
                                new Direction(null, null, null, null, null, null, null, "newsreader", null),
                                Marks.NONE,
                                List.of(),
                                Map.of())),
                "en-GB");
        assertThat(broken(ssml)).as(ssml).isEmpty();
        assertThat(broken("<speak version='1.1' xml:lang='en' "
                        + "xmlns='http://www.w3.org/2001/10/synthesis'><p><sub>x</sub><prosody>y</prosody><prosody "
                        + "pitch='2st'>z</prosody><p>w</p><emphasis><break>v</break></emphasis></p></speak>"))
                .as("the rules see what breaks them")
                .hasSize(5);
    }

    private static List<String> broken(String ssml) throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        return SsmlRules.broken(factory.newDocumentBuilder()
                .parse(new InputSource(new StringReader(ssml)))
                .getDocumentElement());
    }

    @Test
    void readingsGoOutAndIn() {
        int at = LINE.indexOf("2.3 t");
        SsmlCue cue = new SsmlCue(
                LINE,
                "",
                Direction.NONE,
                Marks.NONE,
                List.of(new PlacedReading(
                        at, new Reading("2.3 t", "two point three tonnes", PronunciationKind.WORDS, null, true))),
                Map.of());
        String ssml = SsmlWriter.document(List.of(cue), "en-GB");
        assertThat(ssml).contains("“<sub alias=\"two point three tonnes\">2.3 t</sub>”");
        assertThat(SsmlReader.read(ssml).cues().get(0)).isEqualTo(cue);
    }

    @Test
    void othersSsmlIsReadAsFarAsItCanBe() {
        SsmlReader.Document read = SsmlReader.read("""
                <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">
                  <p><s>The <emphasis>lamp</emphasis> is <prosody rate="slow" pitch="high" contour="(0%,+20Hz)">lit</prosody>.</s>
                  <s>Wait<break strength="strong"/> for <say-as interpret-as="ordinal">4th</say-as> and <phoneme alphabet="ipa" ph="ˈskɛroʊ">Skerrow</phoneme>.</s></p>
                  <voice name="hamish"><p>Fog <prosody pitch="120Hz">till</prosody> noon <audio src="fog.wav"/>.</p></voice>
                </speak>""");
        assertThat(read.cues())
                .extracting(SsmlCue::text)
                .containsExactly("The lamp is lit. Wait for 4th and Skerrow.", "Fog till noon .");
        assertThat(read.cues()).extracting(SsmlCue::voice).containsExactly("", "hamish");
        assertThat(read.cues().get(0).marks().all())
                .extracting(mark ->
                        mark.instruction().id() + " " + mark.instruction().value())
                .containsExactlyInAnyOrder("stress moderate", "pace 80", "pitch 3", "pause 700");
        assertThat(read.cues().get(0).readings())
                .extracting(placed ->
                        placed.reading().written() + " " + placed.reading().kind())
                .containsExactly("4th ORDINAL", "Skerrow IPA");
        assertThat(read.remarks())
                .anySatisfy(remark -> assertThat(remark).contains("contour"))
                .anySatisfy(remark -> assertThat(remark).contains("120Hz"))
                .anySatisfy(remark -> assertThat(remark).contains("<audio>"));
    }

    /**
     * Sections 3.1.8.1 (voice), 3.1.12 (lang) and 3.2.4 (contour: points are a share of the time and a change, straight
     * lines between).
     */
    @Test
    void voicesLanguagesAndContoursInsideAParagraph() {
        SsmlReader.Document read = SsmlReader.read("""
                <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">
                  <voice name="isla"><p>He wrote: <voice name="otis">“The lamp is out,”</voice> and <mark name="night"/><lang xml:lang="cy">nos da</lang>.</p></voice>
                  <p><voice name="marnie">All of it.</voice></p>
                  <p xml:lang="de">Alles gut.</p>
                  <p>One <prosody contour="(0%,+0st)(100%,+8st)">two three four five</prosody></p>
                </speak>""");
        assertThat(read.remarks()).isEmpty();
        assertThat(read.language()).isEqualTo("en-GB");
        assertThat(read.cues())
                .extracting(SsmlCue::text)
                .containsExactly(
                        "He wrote: “The lamp is out,” and nos da.",
                        "All of it.",
                        "Alles gut.",
                        "One two three four five");
        assertThat(read.cues()).extracting(SsmlCue::voice).containsExactly("isla", "marnie", "", "");
        assertThat(marked(read.cues().get(0))).containsExactly("role otis: The lamp is out", "language cy: nos da");
        assertThat(read.cues().get(0).places())
                .containsExactly(new SsmlCue.NamedPlace("night", "He wrote: “The lamp is out,” and ".length()));
        assertThat(marked(read.cues().get(2))).containsExactly("language de: Alles gut");
        assertThat(marked(read.cues().get(3)))
                .containsExactly("pitch 1: two", "pitch 3: three", "pitch 5: four", "pitch 7: five");
    }

    private static List<String> marked(SsmlCue cue) {
        return cue.marks().all().stream()
                .map(mark -> mark.instruction().id() + " " + mark.instruction().value() + ": "
                        + cue.text().substring(mark.start(), mark.end()))
                .toList();
    }

    @Test
    void aLongDocumentOfPiecesIsReadAtOnce() {
        String words = "<emphasis>lamp</emphasis> ".repeat(1_900);
        assertThat(SsmlReader.read("<speak><p>" + words + "</p></speak>")
                        .cues()
                        .get(0)
                        .marks()
                        .all())
                .as("side by side and alike: one run")
                .hasSize(1);
        String apart = "<emphasis>lamp</emphasis> out ".repeat(2_001);
        assertThatThrownBy(() -> SsmlReader.read("<speak><p>" + apart + "</p></speak>"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("at most 2,000 marks");
    }

    @Test
    void whatCannotBeReadIsASentence() {
        assertThatThrownBy(() -> SsmlReader.read("<speak><p>no end"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no well-formed SSML: look at line 1");
        assertThatThrownBy(() -> SsmlReader.read(
                        "<!DOCTYPE speak [<!ENTITY a SYSTEM \"file:///etc/hostname\">]><speak><p>&a;</p></speak>"))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(SsmlReader.read("<speak xml:lang='no such tongue'><p>One.</p></speak>")
                        .remarks())
                .containsExactly("a language of “no such tongue”: left out; the words stay.");
        assertThat(SsmlReader.read("<speak/>").cues()).isEmpty();
        assertThat(SsmlReader.read("<speak><p>Loud <prosody volume=\"+99dB\">words</prosody></p></speak>")
                        .remarks())
                .singleElement()
                .satisfies(remark -> assertThat(remark).contains("loudness of “99.0”"));
    }
}
