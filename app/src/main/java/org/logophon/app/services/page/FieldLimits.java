package org.logophon.app.services.page;

import org.logophon.app.platform.people.PersonName;
import org.logophon.app.platform.web.PassPhrase;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.take.TakeWords;
import org.logophon.app.services.voices.HouseVoice;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.review.proof.WatchWord;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.Find;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.documents.Documents;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/**
 * Limits of what is typed, for the fields of pages: a field takes what the server takes. Where a value has a class of
 * its own, the limit is that class's; what has none has its limit here. Lengths are in characters.
 */
public final class FieldLimits {

    /** A line that somebody types for voices to say. */
    public static final int AUDITION_LINE = 400;
    /** A note on a voice, and on a take. */
    public static final int VOICE_NOTE = 2_000;

    public static final int VOICE_GROUP = 60;
    /** A voice described in words. */
    public static final int VOICE_DESCRIPTION = 300;

    public static final int LINK_NAME = 100;
    /** A set of parts that somebody chose, by its name. */
    public static final int PART_SET_NAME = 40;

    public static final int FEED_TITLE = 120;
    public static final int FEED_DESCRIPTION = 1_000;
    /** A term of a glossary, and its translation. */
    public static final int GLOSSARY_TERM = 100;
    /** Where a sound is from, and what may be done with it. */
    public static final int LICENCE = 200;
    /** How much a sound is made louder or quieter by itself, in decibels. */
    public static final int SOUND_LEVEL_DB = 24;
    /** What is written beside a word on the watch list. */
    public static final int WATCH_NOTE = 200;
    /** An address that is told of what happened. */
    public static final int WEBHOOK = 500;
    /** More is no name of anything that is searched for. */
    private static final int SEARCH = 120;
    /** More are no labels or groups with commas between them. */
    private static final int LIST = 400;
    /** RFC 5321, section 4.5.3.1.3: a path has 256 characters with its brackets. */
    private static final int MAIL_ADDRESS = 254;
    /** RFC 5646, section 4.4.1: a tag that lasts has 35 characters. */
    private static final int LANGUAGE_TAG = 35;
    /** A timecode, typed with whatever stands between its numbers. */
    private static final int TIMECODE = 20;

    private FieldLimits() {}

    /** The advice that gives them to every page, as {@code limits}. */
    @ControllerAdvice
    static class OnPages {

        private static final FieldLimits LIMITS = new FieldLimits();

        @ModelAttribute("limits")
        FieldLimits limits() {
            return LIMITS;
        }
    }

    public int auditionLine() {
        return AUDITION_LINE;
    }

    public int voiceNote() {
        return VOICE_NOTE;
    }

    public int voiceDescription() {
        return VOICE_DESCRIPTION;
    }

    public int houseVoiceName() {
        return HouseVoice.LONGEST_NAME;
    }

    public int houseVoiceDescription() {
        return HouseVoice.LONGEST_DESCRIPTION;
    }

    public int linkName() {
        return LINK_NAME;
    }

    public int partSetName() {
        return PART_SET_NAME;
    }

    public int partMinutes() {
        return DeliveryOptions.LONGEST_MINUTES;
    }

    public int namePattern() {
        return FileNames.LONGEST_PATTERN;
    }

    public int feedTitle() {
        return FEED_TITLE;
    }

    public int feedDescription() {
        return FEED_DESCRIPTION;
    }

    public int glossaryTerm() {
        return GLOSSARY_TERM;
    }

    public int licence() {
        return LICENCE;
    }

    public int soundLevel() {
        return SOUND_LEVEL_DB;
    }

    public int watchWord() {
        return WatchWord.LONGEST;
    }

    public int watchNote() {
        return WATCH_NOTE;
    }

    public int search() {
        return SEARCH;
    }

    public int list() {
        return LIST;
    }

    public int mailAddress() {
        return MAIL_ADDRESS;
    }

    public int webhook() {
        return WEBHOOK;
    }

    public int languageTag() {
        return LANGUAGE_TAG;
    }

    public int timecode() {
        return TIMECODE;
    }

    public int personName() {
        return PersonName.LONGEST;
    }

    /** Of Latin letters; others take more than a byte each, and the server tells. */
    public int passPhrase() {
        return PassPhrase.MOST_BYTES;
    }

    public int projectName() {
        return Project.LONGEST_NAME;
    }

    /** Bytes of a document. */
    public int documentBytes() {
        return Documents.MOST_BYTES;
    }

    public int note() {
        return Note.LONGEST;
    }

    public int takeName() {
        return TakeWords.LONGEST_NAME;
    }

    public int takeRemark() {
        return TakeWords.LONGEST_REMARK;
    }

    public int soundName() {
        return Instruction.OwnSound.LONGEST_NAME;
    }

    public int reading() {
        return Reading.LONGEST;
    }

    public int find() {
        return Find.LONGEST;
    }

    public int cueText() {
        return ScriptCue.MOST_CHARACTERS;
    }

    public int numberStart() {
        return CueNumbers.HIGHEST_START;
    }

    public int numberStep() {
        return CueNumbers.LONGEST_STEP;
    }

    public int numberDigits() {
        return CueNumbers.MOST_DIGITS;
    }

    public int numberPrefix() {
        return CueNumbers.LONGEST_PREFIX;
    }

    public int noiseDb() {
        return Cleaning.MOST_DB;
    }

    /** Seconds. */
    public double shortestCleanedGap() {
        return Cleaning.SHORTEST_GAP;
    }

    /** Seconds. */
    public int longestCleanedGap() {
        return Cleaning.LONGEST_GAP;
    }

    /** The longest pause, and the longest gap between cues, in seconds. */
    public int pauseSeconds() {
        return Dial.PAUSE.most() / 1_000;
    }

    public Dial besideVoice() {
        return Dial.BESIDE_VOICE;
    }

    public Dial liveliness() {
        return Dial.LIVELINESS;
    }
}
