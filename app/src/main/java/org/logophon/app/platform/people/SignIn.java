package org.logophon.app.platform.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.TooOften;
import org.logophon.app.platform.people.PersonRepository.Tries;
import org.logophon.app.platform.web.PassPhrase;
import org.logophon.app.platform.web.StorableText;
import org.logophon.core.input.digest.Sha256;
import org.springframework.stereotype.Service;

/** Names and pass phrases. An answer never tells whether a name is somebody's. */
@Service
class SignIn {

    /** The least for a pass phrase that stands alone (NIST SP 800-63B-4, 3.1.1.2; from memory). */
    static final int SHORTEST = 15;

    private static final Duration TRIES_KEPT = Duration.ofDays(1);

    /** Looked at for names that nobody has, so that they take as long; made when somebody first signs in. */
    private static final class Nobody {
        static final String PHRASE = PassPhrase.kept("no account has this name", SHORTEST);
    }

    private final PersonRepository people;
    private final Clock clock;

    SignIn(PersonRepository people, Clock clock) {
        this.people = people;
        this.clock = clock;
    }

    /**
     * @throws Forbidden for a wrong one
     * @throws TooOften  after many wrong ones
     */
    Person enter(String name, String phrase) {
        Instant now = clock.instant();
        String counted = Sha256.hex(PersonName.key(StorableText.of(name)));
        people.forgetTries(now.minus(TRIES_KEPT));
        Tries tries = people.tries(counted);
        PassPhrase.mayTry(tries.waitUntil(), now);
        // counted before it is looked at: many at once are as many tries
        int wrong = tries.wrong() + 1;
        if (!people.tried(counted, tries.wrong(), wrong, PassPhrase.waitAfter(wrong, now), now)) {
            throw new TooOften("Someone else is trying right now. Try again.");
        }
        Optional<PersonRepository.Kept> kept = people.named(StorableText.of(name));
        boolean right = PassPhrase.matches(
                phrase, kept.map(PersonRepository.Kept::phrase).orElseGet(() -> Nobody.PHRASE));
        if (kept.isEmpty() || !right) {
            throw new Forbidden("Name or pass phrase is wrong.");
        }
        people.forgive(counted);
        return kept.get().person();
    }

    /** @throws Refused for a name or a phrase that can't be one, or a name that is somebody else's */
    Person make(String name, String phrase) {
        String called = PersonName.checked("A name", name);
        return people.add(called, PassPhrase.kept(phrase, SHORTEST), clock.instant())
                .orElseThrow(() -> new Refused("The name is taken: " + called + ". Choose another name."));
    }

    /** @throws Forbidden when the one that they have isn't the one that is given */
    void change(UUID person, String now, String phrase) {
        PersonRepository.Kept kept =
                people.kept(person).orElseThrow(() -> new Forbidden("That isn't your pass phrase."));
        enter(kept.person().name(), now);
        renew(person, phrase);
    }

    void renew(UUID person, String phrase) {
        people.setPhrase(person, PassPhrase.kept(phrase, SHORTEST));
    }
}
