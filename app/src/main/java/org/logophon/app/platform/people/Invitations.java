package org.logophon.app.platform.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Gone;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.people.InvitationRepository.Invitation;
import org.logophon.app.platform.web.LinkToken;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which people come in, each used once. */
@Service
class Invitations {

    private static final Duration OPEN = Duration.ofDays(7);
    private static final int MOST_OPEN = 100;
    private static final String ENDED = "This link was used or revoked, or has expired. Ask for a new one.";

    private final InvitationRepository table;
    private final MemberRepository members;
    private final SignIn signIn;
    private final Clock clock;

    Invitations(InvitationRepository table, MemberRepository members, SignIn signIn, Clock clock) {
        this.table = table;
        this.members = members;
        this.signIn = signIn;
        this.clock = clock;
    }

    /** @return what stands in its address: it is known now and never again */
    @Transactional
    public String make(UUID workspace, MemberRole role) {
        if (open(workspace).size() >= MOST_OPEN) {
            throw new Refused(MOST_OPEN + " invitations are open. Revoke those that nobody needs.");
        }
        return add(workspace, role, null);
    }

    /** For the first owner, or one more where nobody can sign in: those before it end. */
    @Transactional
    public String makeOwner() {
        table.endOwners(Workspace.FIRST, clock.instant());
        return add(Workspace.FIRST, MemberRole.OWNER, null);
    }

    /** By it somebody chooses a new pass phrase. */
    @Transactional
    public String makeForPhrase(UUID workspace, UUID person) {
        MemberRole role = members.role(person, workspace)
                .orElseThrow(() -> new NotFound("This person is no longer in the workspace. Reload the page."));
        return add(workspace, role, person);
    }

    private String add(UUID workspace, MemberRole role, UUID person) {
        Instant now = clock.instant();
        String token = LinkToken.make();
        table.add(
                new Invitation(UUID.randomUUID(), workspace, role, person, now.plus(OPEN), false),
                LinkToken.digest(token),
                now);
        return token;
    }

    List<Invitation> open(UUID workspace) {
        return table.open(workspace, clock.instant());
    }

    /** @throws NotFound for one of another workspace */
    void takeBack(UUID workspace, UUID invitation) {
        if (open(workspace).stream().noneMatch(open -> open.id().equals(invitation))) {
            throw new NotFound("This invitation was used or revoked meanwhile. Reload the page.");
        }
        table.end(invitation, clock.instant());
    }

    /**
     * @throws NotFound where there never was one
     * @throws Gone     when it was used, taken back or has ended
     */
    Invitation at(String token) {
        Invitation invitation = table.withToken(LinkToken.digest(token))
                .orElseThrow(() -> new NotFound("There is nothing at this link. Check that all of it is there."));
        if (!invitation.open(clock.instant())) {
            throw new Gone(ENDED);
        }
        return invitation;
    }

    /** Somebody new comes in. */
    @Transactional
    public Person join(String token, String name, String phrase) {
        Invitation invitation = at(token);
        if (invitation.person() != null) {
            throw new Refused("This link is for a new pass phrase. Reload the page.");
        }
        Person person = signIn.make(name, phrase);
        use(invitation, person);
        return person;
    }

    /** Somebody who is here already comes into one more workspace. */
    @Transactional
    public void join(String token, Person person) {
        Invitation invitation = at(token);
        if (invitation.person() != null) {
            throw new Refused("This link is for a new pass phrase. Reload the page.");
        }
        use(invitation, person);
    }

    private void use(Invitation invitation, Person person) {
        if (!table.end(invitation.id(), clock.instant())) {
            throw new Gone(ENDED);
        }
        members.join(invitation.workspace(), person.id(), invitation.role());
    }

    /** @return whose phrase it is now */
    @Transactional
    public UUID renew(String token, String phrase) {
        Invitation invitation = at(token);
        if (invitation.person() == null) {
            throw new Refused("This link is an invitation. Reload the page.");
        }
        signIn.renew(invitation.person(), phrase);
        if (!table.end(invitation.id(), clock.instant())) {
            throw new Gone(ENDED);
        }
        return invitation.person();
    }
}
