package org.logophon.app.services.hired;

import static org.logophon.app.platform.table.Columns.time;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.hired.Charges;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Table {@code charge}: each request once. It is written down before it is asked, so that a crash in between leaves a
 * trace.
 */
@Repository
public class Ledger implements Charges {

    /** Who pays for what belongs to no project. */
    static final String HOUSE = "the house";

    private final JdbcClient jdbc;
    private final Agreements agreements;
    private final PaidSpeech paid;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Ledger(JdbcClient jdbc, Agreements agreements, PaidSpeech paid, TransactionTemplate transaction, Clock clock) {
        this.jdbc = jdbc;
        this.agreements = agreements;
        this.paid = paid;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * A month's charges of a project for a voice.
     *
     * @param unsettled characters that were asked for and whose answer never came
     */
    public record LedgerEntry(
            String month,
            String project,
            String voice,
            long characters,
            BigDecimal price,
            String currency,
            long unsettled) {}

    /**
     * An item that is charged by the character.
     *
     * @param id   in the ledger
     * @param name for people
     */
    public record Charged(String id, String name, BigDecimal pricePerCharacter, String currency) {

        static Charged of(Voice voice) {
            return new Charged(
                    voice.id(),
                    voice.name(),
                    voice.terms().pricePerCharacter(),
                    voice.terms().currency());
        }

        BigDecimal price(int characters) {
            return pricePerCharacter.multiply(BigDecimal.valueOf(characters));
        }
    }

    @Override
    public void asked(String key, Voice voice, int characters, String agreed) {
        UUID agreement = agreed == null ? null : UUID.fromString(agreed);
        if (agreement == null) {
            throw new SpeechFailed(
                    voice.name() + " is a hired voice, and nobody has agreed to its price. Render again to see it.");
        }
        asked(key, Charged.of(voice), characters, agreement);
    }

    /**
     * Writes a request down before it is sent.
     *
     * @throws SpeechFailed when it is more than was agreed to
     */
    public void asked(String key, Charged what, int characters, UUID agreement) {
        transaction.executeWithoutResult(status -> {
            // what was asked for under another agreement and never answered is counted under this one
            int added = jdbc.sql("""
                    insert into charge (key, agreement_id, project_name, voice_id, voice_name, characters, price,
                    currency, state, asked_at)
                    values (:key, :agreement, :project, :voice, :name, :characters, :price, :currency, 'asked', :now)
                    on conflict (key) do update set agreement_id = :agreement, project_name = :project, asked_at = :now
                    where charge.state = 'asked' and charge.agreement_id <> :agreement""")
                    .param("key", key)
                    .param("agreement", agreement)
                    .param("project", agreements.payer(agreement))
                    .param("voice", what.id())
                    .param("name", what.name())
                    .param("characters", characters)
                    .param("price", what.price(characters))
                    .param("currency", what.currency())
                    .param("now", now())
                    .update();
            if (added > 0 && !agreements.count(agreement, characters)) {
                throw new SpeechFailed(
                        "The words were changed after their price was agreed to. Render again to see the new one.");
            }
        });
    }

    @Override
    public void charged(String key, Voice voice, int characters) {
        charged(key, Charged.of(voice), characters);
    }

    /** Its answer has come. */
    public void charged(String key, Charged what, int characters) {
        jdbc.sql("update charge set state = 'charged', characters = :characters, price = :price, "
                        + "charged_at = :now where key = :key and state = 'asked'")
                .param("key", key)
                .param("characters", characters)
                .param("price", what.price(characters))
                .param("now", now())
                .update();
    }

    @Override
    public void refused(String key) {
        jdbc.sql("delete from charge where key = :key and state = 'asked'")
                .param("key", key)
                .update();
    }

    @Override
    public Optional<Utterance> paid(String key) {
        return paid.find(key);
    }

    @Override
    public void keep(String key, Voice voice, Utterance answer) {
        paid.save(key, voice, answer);
    }

    /** The newest month first. */
    List<LedgerEntry> lines(UUID workspace) {
        return jdbc.sql("""
                select to_char(asked_at at time zone 'UTC', 'YYYY-MM') as month, project_name as project, voice_name as voice, currency,
                  coalesce(sum(characters) filter (where state = 'charged'), 0) as characters,
                  coalesce(sum(price) filter (where state = 'charged'), 0) as price,
                  coalesce(sum(characters) filter (where state = 'asked'), 0) as unsettled
                from charge c join agreement a on a.id = c.agreement_id where a.workspace_id = :workspace
                group by month, project_name, voice_name, currency order by month desc, project_name, voice_name""")
                .param("workspace", workspace)
                .query(LedgerEntry.class)
                .list();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }
}
