package mensor.server.people;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people who sign in. */
@Service
public class People {
    private static final int SHORTEST_PASSWORD = 10;
    /** Bytes: what is longer the hash would not see. */
    private static final int LONGEST_PASSWORD = 72;

    private final PersonRepository persons;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final String nobodysHash;

    People(PersonRepository persons, PasswordEncoder passwords, Clock clock) {
        this.persons = persons;
        this.passwords = passwords;
        this.clock = clock;
        this.nobodysHash = passwords.encode("nobody's password");
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return persons.count() == 0;
    }

    @Transactional(readOnly = true)
    public List<Actor> all() {
        return persons.findAllByOrderByName().stream()
                .filter(Person::isActive)
                .map(Actor::of)
                .toList();
    }

    @Transactional(readOnly = true)
    public String nameOf(UUID id) {
        return id == null ? "" : persons.findById(id).map(Person::name).orElse("");
    }

    @Transactional(readOnly = true)
    public Actor get(UUID id) {
        return persons.findById(id)
                .filter(Person::isActive)
                .map(Actor::of)
                .orElseThrow(() -> Refusal.notFound("that person is not known here"));
    }

    /** The first visitor of an empty database becomes the quality manager. */
    @Transactional
    public Actor makeFirst(String login, String name, List<Role> further, String password) {
        if (!isEmpty()) {
            throw Refusal.conflict("somebody has already set up this Mensor; sign in instead");
        }
        List<Role> roles = new ArrayList<>(further == null ? List.of() : further);
        roles.add(Role.QUALITY_MANAGER);
        return add(login, name, roles, null, password);
    }

    @Transactional
    public Actor add(String login, String name, List<Role> roles, String certificate, String password) {
        String plain = login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
        if (!plain.matches("[a-z0-9._-]{2,60}")) {
            throw Refusal.invalid("login", "2 to 60 letters, digits, dots or dashes are required");
        }
        if (name == null || name.isBlank() || name.length() > 120) {
            throw Refusal.invalid("name", "a name of up to 120 letters is required");
        }
        List<Role> held = checked(roles);
        if (password == null
                || password.length() < SHORTEST_PASSWORD
                || password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            throw Refusal.invalid(
                    "password",
                    SHORTEST_PASSWORD + " to " + LONGEST_PASSWORD
                            + " characters are required; letters with accents count double");
        }
        checkCertificate(certificate);
        if (persons.findByLogin(plain).isPresent()) {
            throw Refusal.invalid("login", "\"" + plain + "\" is taken");
        }
        Person person =
                new Person(UUID.randomUUID(), plain, name.strip(), held, certificate, passwords.encode(password));
        return Actor.of(persons.save(person));
    }

    /** Each once, in the order of {@link Role}. */
    private static List<Role> checked(Collection<Role> roles) {
        List<Role> held = roles == null
                ? List.of()
                : roles.stream().filter(Objects::nonNull).distinct().sorted().toList();
        if (held.isEmpty()) {
            throw Refusal.invalid("roles", "a role is required");
        }
        if (held.contains(Role.VIEWER) && held.size() > 1) {
            throw Refusal.invalid("roles", "a viewer reads signed records only, and holds no other role");
        }
        return held;
    }

    /** The roles that a person holds from now on. */
    @AllOptional
    public record RolesForm(List<Role> roles, Long version) {}

    /** Changes what a person may do; somebody must stay who can do that. */
    @Transactional
    public WithPapers hold(UUID id, RolesForm form) {
        List<Person> everybody = persons.findAllForRoles();
        Person person = everybody.stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("that person is not known here"));
        if (form.version() == null || form.version() != person.version()) {
            throw Refusal.stale("somebody changed these papers meanwhile; check again", null);
        }
        List<Role> held = checked(form.roles());
        boolean another = everybody.stream()
                .anyMatch(p -> p.isActive() && !p.id().equals(id) && p.roles().contains(Role.QUALITY_MANAGER));
        if (!held.contains(Role.QUALITY_MANAGER) && !another) {
            throw Refusal.invalid("roles", "nobody else is quality manager; one must be");
        }
        person.hold(held);
        return withPapers(persons.saveAndFlush(person));
    }

    /** What an inspector's papers say; a person's own id and version guard the change. */
    @AllOptional
    public record Papers(
            String certificate, LocalDate certificateUntil, LocalDate eyeTestUntil, String capacity, Long version) {}

    public record WithPapers(Actor person, Papers papers) {}

    @Transactional(readOnly = true)
    public List<WithPapers> withPapers() {
        return persons.findAllByOrderByName().stream()
                .filter(Person::isActive)
                .map(People::withPapers)
                .toList();
    }

    private static WithPapers withPapers(Person p) {
        return new WithPapers(
                Actor.of(p),
                new Papers(p.certificate(), p.certificateUntil(), p.eyeTestUntil(), p.capacity(), p.version()));
    }

    @Transactional
    public WithPapers certify(UUID id, Papers papers) {
        Person person = persons.findById(id).orElseThrow(() -> Refusal.notFound("that person is not known here"));
        if (papers.version() == null || papers.version() != person.version()) {
            throw Refusal.stale("somebody changed these papers meanwhile; check again", null);
        }
        if (papers.capacity() != null && !List.of("QC", "verification").contains(papers.capacity())) {
            throw Refusal.invalid("capacity", "QC, verification, or both");
        }
        checkCertificate(papers.certificate());
        person.certify(papers.certificate(), papers.certificateUntil(), papers.eyeTestUntil(), papers.capacity());
        return withPapers(persons.saveAndFlush(person));
    }

    private static void checkCertificate(String certificate) {
        if (certificate != null && certificate.length() > 60) {
            throw Refusal.invalid("certificate", "at most 60 letters");
        }
    }

    /** Refuses a signature that the person's papers do not carry; the last day of a paper still carries it. */
    @Transactional(readOnly = true)
    public void maySign(Actor actor, String capacity) {
        Person person = persons.findById(actor.id()).orElseThrow();
        LocalDate today = LocalDate.now(clock);
        if (person.capacity() != null && !person.capacity().equals(capacity)) {
            throw Refusal.forbidden(person.name() + " inspects for " + forWhom(person.capacity())
                    + ", this inspection is for " + forWhom(capacity));
        }
        if (person.certificateUntil() != null && today.isAfter(person.certificateUntil())) {
            throw Refusal.forbidden("the certificate of " + person.name() + " ran out on " + person.certificateUntil()
                    + "; hand the inspection over");
        }
        if (person.eyeTestUntil() != null && today.isAfter(person.eyeTestUntil())) {
            throw Refusal.forbidden("the eye test of " + person.name() + " ran out on " + person.eyeTestUntil()
                    + "; hand the inspection over");
        }
    }

    private static String forWhom(String capacity) {
        return capacity.equals("QC") ? "the fabricator (QC)" : "the owner (verification)";
    }

    /** Who signs in with this password. After wrong tries each further one waits longer. */
    @Transactional(noRollbackFor = Refusal.class)
    public Actor signIn(String login, String password) {
        Instant now = clock.instant();
        String plain = login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
        String given = password == null ? "" : password;
        Person person =
                persons.findForSignInByLogin(plain).filter(Person::isActive).orElse(null);
        if (person == null) {
            passwords.matches(given, nobodysHash); // takes as long as for a login that exists
            throw wrong();
        }
        Duration wait = person.wait(now);
        if (!wait.isZero()) {
            throw Refusal.tooMany(wait.toSeconds() + 1);
        }
        if (!passwords.matches(given, person.passwordHash())) {
            person.wrongPassword(now);
            throw wrong();
        }
        person.rightPassword();
        return Actor.of(person);
    }

    private static Refusal wrong() {
        return Refusal.unauthorized("login or password is wrong");
    }
}
