package mensor.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api")
class SessionController {
    private final People people;
    private final DemoSignIns demo;
    private final FirstVisit firstVisit;
    private final SecurityContextRepository contexts;

    SessionController(People people, DemoSignIns demo, FirstVisit firstVisit, SecurityContextRepository contexts) {
        this.people = people;
        this.demo = demo;
        this.firstVisit = firstVisit;
        this.contexts = contexts;
    }

    /**
     * @param empty nobody is registered yet
     * @param codeWanted the first visitor gives the code that the start printed
     */
    record SessionView(@Nullable Actor person, boolean empty, boolean codeWanted, List<DemoSignIns.SignIn> signIns) {}

    record OwnPassword(String now, String next) {}

    record Credentials(String login, String password) {}

    /**
     * @param roles held beside that of the quality manager
     * @param code printed by the start, where the network can reach this Mensor
     */
    record FirstPerson(
            String login,
            String name,
            @Nullable List<Role> roles,
            String password,
            @Nullable String code) {}

    @GetMapping("/session")
    SessionView session(@AuthenticationPrincipal Actor actor) {
        boolean empty = actor == null && people.isEmpty();
        return new SessionView(
                actor, empty, empty && firstVisit.code().isPresent(), actor == null ? demo.list() : List.of());
    }

    @PostMapping("/session")
    SessionView signIn(@RequestBody Credentials signIn, HttpServletRequest request, HttpServletResponse response) {
        return begin(people.signIn(signIn.login(), signIn.password(), request.getRemoteAddr()), request, response);
    }

    @PostMapping("/people/first")
    SessionView first(@RequestBody FirstPerson first, HttpServletRequest request, HttpServletResponse response) {
        return begin(
                people.makeFirst(
                        new People.NewPerson(first.login(), first.name(), first.roles(), null, first.password()),
                        first.code()),
                request,
                response);
    }

    /** One's own password; this session goes on, those on other devices are over. */
    @PutMapping("/session/password")
    SessionView changePassword(
            @AuthenticationPrincipal Actor actor,
            @RequestBody OwnPassword form,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (actor == null) {
            throw Refusal.unauthorized("sign in first");
        }
        people.changePassword(actor, form.now(), form.next(), request.getRemoteAddr());
        return begin(actor, request, response);
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
        SignedIn.begun(request, people.sessionNumber(actor.id()));
        SecurityContext context = SignedIn.context(actor);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return new SessionView(actor, false, false, List.of());
    }
}
