package org.logophon.app.platform.people;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code workspace} and {@code member}. */
@Repository
class MemberRepository {

    private final JdbcClient jdbc;

    MemberRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A person in a workspace. */
    record Member(Person person, MemberRole role) {}

    Optional<MemberRole> role(UUID person, UUID workspace) {
        return jdbc.sql("select role from member where workspace_id = :workspace and person_id = :person")
                .param("workspace", workspace)
                .param("person", person)
                .query(String.class)
                .optional()
                .map(MemberRole::named);
    }

    /** What somebody is where a project belongs, also a deleted one; empty where they are nothing. */
    Optional<Visit> ofProject(Person person, UUID project) {
        return jdbc.sql("""
                select p.workspace_id, m.role from project p join member m on m.workspace_id = p.workspace_id
                where p.id = :project and m.person_id = :person""")
                .param("project", project)
                .param("person", person.id())
                .query((row, at) ->
                        new Visit(person, uuid(row, "workspace_id"), MemberRole.named(row.getString("role"))))
                .optional();
    }

    /** Where somebody is when an address doesn't say: the oldest workspace that they are in. */
    Optional<Visit> home(Person person) {
        return of(person.id()).stream()
                .findFirst()
                .map(first -> new Visit(person, first.workspace().id(), first.role()));
    }

    /** Of somebody, the oldest first. */
    List<Membership> of(UUID person) {
        return jdbc.sql("""
                select w.id, w.name, m.role from member m join workspace w on w.id = m.workspace_id
                where m.person_id = :person
                order by w.made_at, w.id""")
                .param("person", person)
                .query((row, at) -> new Membership(
                        new Workspace(uuid(row, "id"), row.getString("name")), MemberRole.named(row.getString("role"))))
                .list();
    }

    /** By their names. */
    List<Member> in(UUID workspace) {
        return jdbc.sql("""
                select p.id, p.name, m.role from member m join person p on p.id = m.person_id
                where m.workspace_id = :workspace
                order by p.name_key""")
                .param("workspace", workspace)
                .query((row, at) -> new Member(
                        new Person(uuid(row, "id"), row.getString("name")), MemberRole.named(row.getString("role"))))
                .list();
    }

    Workspace workspace(UUID id) {
        return jdbc.sql("select id, name from workspace where id = :id")
                .param("id", id)
                .query(Workspace.class)
                .single();
    }

    /** Holds a workspace against others who change its people, until the transaction ends. */
    void hold(UUID workspace) {
        jdbc.sql("select id from workspace where id = :id for no key update")
                .param("id", workspace)
                .query(UUID.class)
                .single();
    }

    UUID add(String name) {
        UUID id = UUID.randomUUID();
        jdbc.sql("insert into workspace (id, name) values (:id, :name)")
                .param("id", id)
                .param("name", name)
                .update();
        return id;
    }

    void rename(UUID workspace, String name) {
        jdbc.sql("update workspace set name = :name where id = :id")
                .param("name", name)
                .param("id", workspace)
                .update();
    }

    /** A role that somebody has is kept where it is more. */
    void join(UUID workspace, UUID person, MemberRole role) {
        if (role(person, workspace).filter(has -> has.compareTo(role) >= 0).isEmpty()) {
            set(workspace, person, role);
        }
    }

    void set(UUID workspace, UUID person, MemberRole role) {
        jdbc.sql("""
                insert into member (workspace_id, person_id, role) values (:workspace, :person, :role)
                on conflict (workspace_id, person_id) do update set role = excluded.role""")
                .param("workspace", workspace)
                .param("person", person)
                .param("role", role.id())
                .update();
    }

    void remove(UUID workspace, UUID person) {
        jdbc.sql("delete from member where workspace_id = :workspace and person_id = :person")
                .param("workspace", workspace)
                .param("person", person)
                .update();
    }
}
