package mensor.server.people;

import java.io.Serializable;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Who is signed in. A person of a small shop holds several roles; a viewer holds no other.
 *
 * @param roles in the order of {@link Role}, at least one
 */
public record Actor(
        UUID id,
        String login,
        String name,
        List<Role> roles,
        @Nullable String certificate) implements Serializable {
    public Actor {
        roles = List.copyOf(roles);
    }

    static Actor of(Person p) {
        return new Actor(p.id(), p.login(), p.name(), p.roles(), p.certificate());
    }

    /** Holds one of these roles. */
    public boolean is(Role... any) {
        return List.of(any).stream().anyMatch(roles::contains);
    }

    /** Inspects welds and signs. */
    public boolean inspects() {
        return is(Role.INSPECTOR);
    }

    /** Describes what was to be made. */
    public boolean setsUp() {
        return is(Role.INSPECTOR, Role.WELDING_ENGINEER, Role.QUALITY_MANAGER);
    }

    /** Chooses what happens to a rejected place: the contractor's choice, not the inspector's. */
    public boolean decidesDisposition() {
        return is(Role.REPAIR_LEAD, Role.WELDING_ENGINEER);
    }

    /** Records the Engineer's documents. */
    public boolean recordsEngineer() {
        return is(Role.WELDING_ENGINEER, Role.QUALITY_MANAGER);
    }

    public boolean managesPeople() {
        return is(Role.QUALITY_MANAGER);
    }

    /** Sees signed records only. */
    public boolean seesSignedOnly() {
        return !is(Role.INSPECTOR, Role.WELDING_ENGINEER, Role.REPAIR_LEAD, Role.QUALITY_MANAGER);
    }

    /** Sees own test pieces only. */
    public boolean seesOwnPiecesOnly() {
        return is(Role.LEARNER) && seesSignedOnly() && !is(Role.INSTRUCTOR);
    }

    /** The roles as said: "quality manager and inspector". */
    public String rolesInWords() {
        return roles.stream().map(Role::words).collect(Collectors.joining(" and "));
    }
}
