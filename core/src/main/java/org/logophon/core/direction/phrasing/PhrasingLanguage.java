package org.logophon.core.direction.phrasing;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What phrasing has to know of a language: its words without stress, those that ask, those before which a long clause
 * parts.
 *
 * @param functionWords bear no stress of their own; empty where nobody has written them down
 * @param questionWords one of them near its start makes a question fall
 * @param partsBefore   a clause begins with them
 * @param tag           the end of a sentence that asks only for a nod; null for none
 * @param or            parts two choices
 * @param commaFactor   German and its like set commas by grammar, not by ear (ours)
 */
record PhrasingLanguage(
        Set<String> functionWords,
        Set<String> questionWords,
        Set<String> partsBefore,
        Pattern tag,
        Set<String> or,
        double commaFactor) {

    private static final PhrasingLanguage OTHER = new PhrasingLanguage(Set.of(), Set.of(), Set.of(), null, Set.of(), 1);

    private static final PhrasingLanguage ENGLISH = new PhrasingLanguage(
            words("""
                    a an the and or but nor so if as at by for from in into of off on onto out over to up with
                    without than that this these those there i me my you your he him his she her it its we us
                    our they them their am is are was were be been being do does did have has had will would
                    shall should can could may might must not who whom whose which what when where why how
                    because while until since though although about after before under between through during
                    against among upon some any each every no all both it's he's she's that's there's i'm
                    you're we're they're i've you've we've they've i'll you'll he'll she'll we'll they'll i'd
                    you'd he'd she'd we'd they'd don't doesn't didn't isn't aren't wasn't weren't won't
                    wouldn't can't couldn't shouldn't haven't hasn't hadn't just very too also"""),
            words("who whom whose what which when where why how"),
            words("""
                    and but or which who that because while when where if unless until although though so
                    since as than before after"""),
            Pattern.compile(
                    "(?iu)(?:is|isn['’]t|are|aren['’]t|was|wasn['’]t|were|weren['’]t|do|don['’]t|does|doesn['’]t|did|"
                            + "didn['’]t|has|hasn['’]t|have|haven['’]t|had|hadn['’]t|will|won['’]t|would|wouldn['’]t|"
                            + "can|can['’]t|could|couldn['’]t|shall|shan['’]t|should|shouldn['’]t) "
                            + "(?:i|you|he|she|it|we|they|there)|right|eh"),
            words("or"),
            1);

    private static final Map<String, PhrasingLanguage> BY_LANGUAGE = Map.of(
            "en",
            ENGLISH,
            "de",
            new PhrasingLanguage(
                    words("""
                    der die das den dem des ein eine einen einem einer eines und oder aber in im an am auf aus
                    bei beim mit nach von vom zu zum zur für über unter vor durch um als wie wenn dass daß
                    weil ob ich du er sie es wir ihr ihm ihn uns euch sich mein dein sein ihre ist sind war
                    waren bin bist hat haben hatte wird werden wurde kann nicht auch noch nur so"""),
                    words("""
                    wer wen wem wessen was wann wo wohin woher warum wieso weshalb wie welche welcher welches
                    welchen welchem wieviel womit wofür worüber"""),
                    words("""
                    und aber oder weil dass daß wenn als ob während obwohl damit denn der die das welche"""),
                    Pattern.compile("(?iu)nicht wahr|oder|gell|ne"),
                    words("oder"),
                    0.7),
            "fr",
            new PhrasingLanguage(
                    words("""
                    le la les l un une des du de d au aux et ou mais dans en sur sous par pour avec sans chez
                    vers que qui qu ce cet cette ces mon ma mes ton ta tes son sa ses notre nos votre vos leur
                    leurs je tu il elle on nous vous ils elles me te se est sont était étaient a ont avait ne
                    pas y n'"""),
                    words("""
                    qui que quoi quand où pourquoi comment combien quel quelle quels quelles lequel laquelle"""),
                    words("et mais ou que qui parce quand où si comme dont pendant lorsque puisque"),
                    Pattern.compile("(?iu)n['’]est-ce pas|non|hein"),
                    words("ou"),
                    1),
            "es",
            new PhrasingLanguage(
                    words("""
                    el la los las lo un una unos unas y e o u pero de del a al en con sin por para sobre entre
                    hasta desde que como si me te se nos os le les mi tu su mis tus sus yo tú él ella nosotros
                    ellos ellas es son era eran fue ha han había no"""),
                    words("""
                    quién quiénes qué cuándo dónde adónde cómo cuál cuáles cuánto cuánta cuántos cuántas"""),
                    words("y pero o que porque cuando donde si como aunque mientras"),
                    Pattern.compile("(?iu)verdad|no"),
                    words("o u"),
                    1),
            "it",
            new PhrasingLanguage(
                    words("""
                    il lo la i gli le l un uno una e ed o ma di a da in con su per tra fra del dello della dei
                    degli delle al allo alla ai agli alle dal dalla nel nella nei sul sulla che chi come se mi
                    ti si ci vi io tu lui lei noi voi loro è sono era erano ha hanno aveva non"""),
                    words("chi che cosa quando dove perché come quale quali quanto quanta quanti quante"),
                    words("e ma o che perché quando dove se come mentre"),
                    Pattern.compile("(?iu)vero|no"),
                    words("o"),
                    1));

    /** @param tag BCP 47 */
    static PhrasingLanguage of(String tag) {
        return BY_LANGUAGE.getOrDefault(Locale.forLanguageTag(tag).getLanguage(), OTHER);
    }

    /** True where the language's words are known. */
    boolean known() {
        return !functionWords.isEmpty();
    }

    boolean content(String word) {
        return !functionWords.contains(plain(word));
    }

    static String plain(String word) {
        return word.toLowerCase(Locale.ROOT).replace('’', '\'');
    }

    private static Set<String> words(String list) {
        return Set.of(list.strip().split("\\s+"));
    }
}
