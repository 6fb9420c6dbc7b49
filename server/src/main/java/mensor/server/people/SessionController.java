package mensor.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api")
class SessionController {
    private final People people;
    private final DemoSignIns demo;
    private final SecurityContextRepository contexts;

    SessionController(People people, DemoSignIns demo, SecurityContextRepository contexts) {
        this.people = people;
        this.demo = demo;
        this.contexts = contexts;
    }

    record SessionView(@Nullable Actor person, boolean empty, List<DemoSignIns.SignIn> signIns) {}

    record Credentials(String login, String password) {}

    /** @param roles held beside that of the quality manager */
    record FirstPerson(String login, String name, @Nullable List<Role> roles, String password) {}

    @GetMapping("/session")
    SessionView session(@AuthenticationPrincipal Actor actor) {
        return new SessionView(actor, actor == null && people.isEmpty(), actor == null ? demo.list() : List.of());
    }

    @PostMapping("/session")
    SessionView signIn(@RequestBody Credentials signIn, HttpServletRequest request, HttpServletResponse response) {
        return begin(people.signIn(signIn.login(), signIn.password()), request, response);
    }

    @PostMapping("/people/first")
    SessionView first(@RequestBody FirstPerson first, HttpServletRequest request, HttpServletResponse response) {
        return begin(people.makeFirst(first.login(), first.name(), first.roles(), first.password()), request, response);
    }

    @DeleteMapping("/session")
    SessionView signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
        return session(null);
    }

    private SessionView begin(Actor actor, HttpServletRequest request, HttpServletResponse response) {
        request.getSession(true);
        request.changeSessionId();
        SecurityContext context = SignedIn.context(actor);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return new SessionView(actor, false, List.of());
    }
}
