package mensor.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Objects;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * Who is signed in: the session keeps the person's number alone, and the person is read anew at each request. A role given or
 * taken works at once, and somebody who left is nobody; a session that another node or another version of Mensor began is read
 * as well.
 */
@Component
class SignedIn implements SecurityContextRepository {
    private static final String PERSON = "mensor.person";
    private static final String NUMBER = "mensor.session";

    private final PersonRepository persons;

    SignedIn(PersonRepository persons) {
        this.persons = persons;
    }

    static SecurityContext context(Actor actor) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                actor,
                null,
                actor.roles().stream()
                        .map(r -> new SimpleGrantedAuthority("ROLE_" + r))
                        .toList()));
        return context;
    }

    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        return new DeferredSecurityContext() {
            private SecurityContext now;

            @Override
            public SecurityContext get() {
                if (now == null) {
                    now = asOfNow(request.getSession(false));
                }
                return now;
            }

            @Override
            public boolean isGenerated() {
                return get().getAuthentication() == null;
            }
        };
    }

    /** Which of the person's sessions this is; it is over once the person's number went on. */
    static void begun(HttpServletRequest request, int number) {
        request.getSession(true).setAttribute(NUMBER, number);
    }

    private SecurityContext asOfNow(HttpSession session) {
        if (session == null || !(session.getAttribute(PERSON) instanceof String id)) {
            return SecurityContextHolder.createEmptyContext();
        }
        Object number = session.getAttribute(NUMBER);
        return persons.findById(UUID.fromString(id))
                .filter(Person::isActive)
                .filter(p -> Objects.equals(number, p.sessionNumber()))
                .map(p -> context(Actor.of(p)))
                .orElseGet(SecurityContextHolder::createEmptyContext);
    }

    @Override
    @Deprecated // the interface still asks for it
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return loadDeferredContext(holder.getRequest()).get();
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        if (context.getAuthentication() != null && context.getAuthentication().getPrincipal() instanceof Actor actor) {
            request.getSession(true).setAttribute(PERSON, actor.id().toString());
        }
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(PERSON) != null;
    }
}
