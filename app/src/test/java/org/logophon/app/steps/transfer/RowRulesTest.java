package org.logophon.app.steps.transfer;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.app.platform.failure.Refused;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What a row of a project file can hold, by its column's type and by its meaning. */
class RowRulesTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String ROLE = "{'name':'Keeper','lively_percent':0}";
    private static final String CUE = "{'id':'c1','role':'Keeper','number':'010','text':'The lamp was lit.'}";

    private static ImportedRow row(String table, String json) {
        return new ImportedRow("rows/" + table + ".jsonl", 3, (ObjectNode) JSON.readTree(json.replace('\'', '"')));
    }

    /** A cast and a cue that rows after them hang on. */
    private static ScriptRules script() {
        ScriptRules rules = new ScriptRules();
        rules.check("role", row("role", ROLE));
        rules.check("cue", row("cue", CUE));
        return rules;
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '"', textBlock = """
            role | {'name':' '} | name is no name
            role | {'name':'A\\u0007b'} | name is no name
            role | {'name':'Keeper','lively_percent':101} | Liveliness goes from 0 to 100
            role | {'name':'Keeper','pace_percent':49} | Pace goes from 50 to 200
            role | {'name':'Keeper','lively_percent':0,'cleaning':{'noiseDb':0,'humHz':55,'rumble':false,'clicks':false,'clipped':false,'longestGap':0}} | Mains hum
            cue | {'id':'c2','role':'Nobody','number':'1','text':'a'} | its role isn't in rows/role.jsonl
            cue | {'id':'c2','role':'Keeper','number':'1','text':'a','placement':'away'} | it is no placement
            cue | {'id':'c2','role':'Keeper','number':'1','text':'a','slot_in_millis':5,'slot_out_millis':4} | A slot ends after
            cue | {'id':'c2','role':'Keeper','number':'1','text':'a','slot_in_millis':0,'slot_out_millis':2000000000} | out_millis
            cue | {'id':'c2','role':'Keeper','number':'1','text':'a','fixed_samples':9999999999} | fixed_samples is outside
            cue | {'id':'c2','role':'Keeper','number':'1','text':'a','taken':{'pauses':{'commaMillis':-1}}} | The pause at a comma goes
            mark | {'cue_id':'c1','kind':'shout','value':'','origin':'OWN','start_index':0,'end_index':3} | line 3 of rows/mark.jsonl
            mark | {'cue_id':'c1','kind':'pace','value':'900','origin':'OWN','start_index':0,'end_index':3} | Pace goes from
            mark | {'cue_id':'c1','kind':'pace','value':'90','origin':'THEIRS','start_index':0,'end_index':3} | it is no mark
            mark | {'cue_id':'c1','kind':'pace','value':'90','origin':'OWN','start_index':0,'end_index':99} | end_index is 99
            mark | {'cue_id':'c1','kind':'pace','value':'90','origin':'OWN','start_index':3,'end_index':3} | start_index is 3
            place_reading | {'cue_id':'c1','written':'lamp','said':'','said_as':'words','start_index':0} | is missing
            place_reading | {'cue_id':'c1','written':'lamp','said':'light','said_as':'words','start_index':99} | start_index
            reading | {'written':'lamp','said':'light','said_as':'sung'} | reading
            reading | {'written':'lamp','said':'light','said_as':'words','language':'no language'} | language is no language
            dismissed | {'kind':'BOREDOM'} | it is no finding
            scene_gap | {'millis':10001} | millis is 10001
            picture_slot | {'in_millis':-1,'out_millis':5} | A slot ends after
            note | {'on_text':'Fog.','start_index':0,'end_index':9,'remark':'Slower.'} | place in its text
            note | {'on_text':'Fog.','start_index':0,'end_index':3,'remark':' '} | a note has 1 to
            happening | {'what':'sung'} | it is no happening
            """)
    void rowsOfWordsAndDirectionAreHeldAgainstWhatIsAllowedByHand(String table, String json, String sentence) {
        assertThatThrownBy(() -> script().check(table, row(table, json)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("line 3 of rows/" + table + ".jsonl")
                .hasMessageContaining(sentence);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '"', textBlock = """
            house_voice | {'name':'Old','pace_percent':100,'pitch_semitones':13,'range_percent':100,'timbre_semitones':0,'effect_percent':0} | Pitch goes
            house_voice | {'name':'Old','pace_percent':100,'pitch_semitones':1,'range_percent':100,'timbre_semitones':4,'effect_percent':0} | Timbre goes
            speech | {'words':[0,3,0],'peaks':'\\\\x00'} | words is no list of words
            speech | {'words':[0,3,0,-5],'peaks':'\\\\x00'} | words is no list of places
            speech | {'pitch':['NaN'],'peaks':'\\\\x00'} | pitch is no list of numbers
            speech | {'peaks':'\\\\xzz'} | it is no sound
            recording | {'doubts':[0.5],'findings':[{'kind':'BORED'}],'figures':{}} | it is no recording
            check_dismissed | {'kind':'bored'} | it is no finding
            take | {'ordinal':1,'source':'sung','origin':{'version':1}} | it is no take
            take | {'ordinal':1,'source':'rendered','origin':{'version':7}} | it is no take
            take | {'ordinal':0,'source':'rendered','origin':{'version':1}} | ordinal is outside
            take_event | {'what':'sung'} | it is no event of a take
            sound_file | {'name':' ','own_db':0} | A sound has a name
            sound_file | {'name':'Bell','own_db':25} | own_db is outside
            bed | {'fade_in_millis':60001,'fade_out_millis':0,'level_db':-18,'rise_db':0} | 60 seconds
            bed | {'fade_in_millis':0,'fade_out_millis':0,'level_db':99,'rise_db':0} | The level against the voice
            delivery_choice | {'choice':{'parts':['x'],'captions':[]}} | A delivery has no part
            delivery | {'ordinal':1,'name_pattern':'{colour}'} | {colour} is no field
            delivery | {'ordinal':1,'target_lufs':3} | target loudness
            delivered_cue | {'heard':{'words':['deep']}} | heard is no state
            """)
    void rowsOfVoicesAndSoundsAreHeldAgainstWhatIsAllowedByHand(String table, String json, String sentence) {
        assertThatThrownBy(() -> SoundRules.check(table, row(table, json)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("line 3 of rows/" + table + ".jsonl")
                .hasMessageContaining(sentence);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '"', textBlock = """
            text | 5 | is no text
            text | 'a\\u0000b' | characters that are no text
            text | '\\ud800' | characters that are no text
            integer | 1.5 | no whole number
            integer | 3000000000 | are possible
            bigint | 99999999999999999999 | no whole number
            double precision | 'Infinity' | no number that it can be
            double precision | 1e300 | no number that it can be
            boolean | 'yes' | neither true nor false
            uuid | 'x' | no id
            timestamp with time zone | 'infinity' | no time
            timestamp with time zone | '+999999999-12-31T00:00:00+00:00' | no time
            timestamp with time zone | '0001-01-01T00:00:00+00:00' | no time
            ARRAY | {} | no list
            """)
    void columnsHoldTheirType(String type, String value, String sentence) {
        assertThatThrownBy(() -> ColumnRules.check("cue", "what", type, row("cue", "{'what':" + value + "}")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("line 3 of rows/cue.jsonl: what")
                .hasMessageContaining(sentence);
    }

    @Test
    void namesAreAsLongAsByHand() {
        assertThatThrownBy(() -> ColumnRules.check(
                        "cue", "number", "text", row("cue", "{'number':'" + "1".repeat(50_000) + "'}")))
                .hasMessageContaining("number has 50,000 characters, and 40 are possible");
        assertThatThrownBy(() -> ColumnRules.check(
                        "role", "name", "text", row("role", "{'name':'" + "x".repeat(100_000) + "'}")))
                .hasMessageContaining("name has 100,000 characters, and 60 are possible");
        assertThatCode(() -> ColumnRules.check(
                        "cue", "at", "timestamp with time zone", row("cue", "{'at':'2026-11-30T10:00:00.5+00:00'}")))
                .doesNotThrowAnyException();
    }

    @Test
    void aRoleIsTheSameWhateverItsCase() {
        assertThatCode(() ->
                        script().check("cue", row("cue", "{'id':'c2','role':'KeePER','number':'020','text':'Fog.'}")))
                .doesNotThrowAnyException();
    }

    @Test
    void aCueHasAsManyMarksAsByHand() {
        ScriptRules rules = script();
        ImportedRow mark =
                row("mark", "{'cue_id':'c1','kind':'pace','value':'90','origin':'OWN','start_index':0,'end_index':3}");
        for (int i = 0; i < 2_000; i++) {
            rules.check("mark", mark);
        }
        assertThatThrownBy(() -> rules.check("mark", mark)).hasMessageContaining("a cue has at most 2,000 marks");
    }
}
