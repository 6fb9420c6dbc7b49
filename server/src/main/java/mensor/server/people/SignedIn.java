package mensor.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Objects;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * Who is signed in, kept in the session and read anew at each request: a role given or taken works at once, and somebody
 * who left is nobody.
 */
@Component
class SignedIn implements SecurityContextRepository {
    private static final String NUMBER = "mensor.session";

    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();
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
        DeferredSecurityContext kept = sessions.loadDeferredContext(request);
        return new DeferredSecurityContext() {
            private SecurityContext now;

            @Override
            public SecurityContext get() {
                if (now == null) {
                    HttpSession session = request.getSession(false);
                    now = asOfNow(kept.get(), session == null ? null : session.getAttribute(NUMBER));
                }
                return now;
            }

            @Override
            public boolean isGenerated() {
                return kept.isGenerated();
            }
        };
    }

    /** Which of the person's sessions this is; it is over once the person's number went on. */
    static void begun(HttpServletRequest request, int number) {
        request.getSession(true).setAttribute(NUMBER, number);
    }

    private SecurityContext asOfNow(SecurityContext kept, Object number) {
        return kept.getAuthentication() != null && kept.getAuthentication().getPrincipal() instanceof Actor then
                ? persons.findById(then.id())
                        .filter(Person::isActive)
                        .filter(p -> Objects.equals(number, p.sessionNumber()))
                        .map(p -> context(Actor.of(p)))
                        .orElseGet(SecurityContextHolder::createEmptyContext)
                : kept;
    }

    @Override
    @Deprecated // the interface still asks for it
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return loadDeferredContext(holder.getRequest()).get();
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        sessions.saveContext(context, request, response);
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return sessions.containsContext(request);
    }
}
