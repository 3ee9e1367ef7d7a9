package org.logophon.app.platform.people;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.people.MemberRepository.Member;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The members of a workspace, which is never without an owner. */
@Service
class Members {

    private static final String LAST = "A workspace has an owner: make somebody else one first.";

    private final MemberRepository table;

    Members(MemberRepository table) {
        this.table = table;
    }

    List<Member> in(UUID workspace) {
        return table.in(workspace);
    }

    List<Membership> of(UUID person) {
        return table.of(person);
    }

    Workspace workspace(UUID id) {
        return table.workspace(id);
    }

    boolean owned(UUID workspace) {
        return table.in(workspace).stream().anyMatch(member -> member.role() == MemberRole.OWNER);
    }

    /** @throws Refused for the last owner, who would be none */
    @Transactional
    public void set(UUID workspace, UUID person, MemberRole role) {
        table.hold(workspace);
        require(workspace, person);
        if (role != MemberRole.OWNER && lastOwner(workspace, person)) {
            throw new Refused(LAST);
        }
        table.set(workspace, person, role);
    }

    /** @throws Refused for the last owner */
    @Transactional
    public void remove(UUID workspace, UUID person) {
        table.hold(workspace);
        require(workspace, person);
        if (lastOwner(workspace, person)) {
            throw new Refused(LAST);
        }
        table.remove(workspace, person);
    }

    private void require(UUID workspace, UUID person) {
        if (table.role(person, workspace).isEmpty()) {
            throw new NotFound("This person is no longer in the workspace. Reload the page.");
        }
    }

    private boolean lastOwner(UUID workspace, UUID person) {
        return table.in(workspace).stream()
                .filter(member -> member.role() == MemberRole.OWNER)
                .map(member -> member.person().id())
                .toList()
                .equals(List.of(person));
    }

    void rename(UUID workspace, String name) {
        table.rename(workspace, checked(name));
    }

    /** Whoever makes one owns it. */
    @Transactional
    public UUID make(Person person, String name) {
        UUID workspace = table.add(checked(name));
        table.set(workspace, person.id(), MemberRole.OWNER);
        return workspace;
    }

    private static String checked(String name) {
        return PersonName.checked("The name of a workspace", name);
    }
}
