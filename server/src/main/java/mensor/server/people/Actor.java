package mensor.server.people;

import java.io.Serializable;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Who is signed in, as kept in the session. */
public record Actor(
        UUID id,
        String login,
        String name,
        Role role,
        @Nullable String certificate) implements Serializable {
    static Actor of(Person p) {
        return new Actor(p.id(), p.login(), p.name(), p.role(), p.certificate());
    }
}
