package mensor.server.people;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.Day;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The people who sign in. */
@Service
public class People {
    private static final int LONGEST_MAIL = 254;
    /** No list of addresses, and no line end that could begin a header of its own. */
    private static final Pattern MAIL = Pattern.compile("[^\\s@,;<>\"]+@[^\\s@,;<>\"]+");

    private final PersonRepository persons;
    private final Passwords passwords;
    private final WrongTries wrongTries;
    private final FirstVisit firstVisit;
    private final JdbcTemplate db;
    private final TransactionTemplate transactions;
    private final Clock clock;

    People(
            PersonRepository persons,
            Passwords passwords,
            WrongTries wrongTries,
            FirstVisit firstVisit,
            JdbcTemplate db,
            TransactionTemplate transactions,
            Clock clock) {
        this.persons = persons;
        this.passwords = passwords;
        this.wrongTries = wrongTries;
        this.firstVisit = firstVisit;
        this.db = db;
        this.transactions = transactions;
        this.clock = clock;
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

    /** Everybody's name, also of those who left: what they recorded stays theirs. */
    @Transactional(readOnly = true)
    public Map<UUID, String> names() {
        return persons.findAll().stream().collect(Collectors.toMap(Person::id, Person::name));
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

    /** Whom an account is for. */
    @AllOptional
    public record NewPerson(String login, String name, List<Role> roles, String certificate, String password) {}

    /** The first visitor of an empty database becomes the quality manager; of several at once, one. */
    public Actor makeFirst(NewPerson first, String code) {
        if (!isEmpty()) {
            throw taken();
        }
        if (!firstVisit.mayCome(code)) {
            throw Refusal.invalid("code", "the code is printed where Mensor was started");
        }
        List<Role> roles = new ArrayList<>(first.roles() == null ? List.of() : first.roles());
        roles.add(Role.QUALITY_MANAGER);
        Person person = made(new NewPerson(first.login(), first.name(), roles, null, first.password()));
        try {
            return transactions.execute(t -> {
                if (persons.count() > 0) {
                    throw taken();
                }
                Actor actor = Actor.of(persons.saveAndFlush(person));
                db.update("insert into first_person (one, person_id) values (1, ?)", person.id());
                return actor;
            });
        } catch (DataIntegrityViolationException e) {
            throw taken();
        }
    }

    private static Refusal taken() {
        return Refusal.conflict("somebody has already set up this Mensor; sign in instead");
    }

    public Actor add(NewPerson p) {
        Person person = made(p);
        String login = person.login();
        try {
            return transactions.execute(t -> {
                if (persons.findByLogin(login).isPresent()) {
                    throw loginTaken(login);
                }
                return Actor.of(persons.saveAndFlush(person));
            });
        } catch (DataIntegrityViolationException e) { // by another request at the same moment
            throw loginTaken(login);
        }
    }

    private static Refusal loginTaken(String login) {
        return Refusal.invalid("login", "\"" + login + "\" is taken");
    }

    private static String plain(String login) {
        return login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
    }

    private Person made(NewPerson p) {
        String login = plain(p.login());
        if (!login.matches("[a-z0-9._-]{2,60}")) {
            throw Refusal.invalid("login", "2 to 60 letters, digits, dots or dashes are required");
        }
        if (p.name() == null || p.name().isBlank() || p.name().length() > 120) {
            throw Refusal.invalid("name", "a name of up to 120 letters is required");
        }
        List<Role> held = checked(p.roles());
        checkCertificate(p.certificate());
        return new Person(
                UUID.randomUUID(), login, p.name().strip(), held, p.certificate(), passwords.hash(p.password(), login));
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
        List<Role> held = checked(form.roles());
        Person person = held(id, form.version(), held.contains(Role.QUALITY_MANAGER), "roles");
        person.hold(held);
        return withPapers(persons.saveAndFlush(person));
    }

    @AllOptional
    public record ActiveForm(Boolean active, Long version) {}

    /** Somebody leaves, or comes back; what they recorded and signed stays as it is. */
    @Transactional
    public WithPapers setActive(UUID id, ActiveForm form) {
        if (form.active() == null) {
            throw Refusal.invalid("active", "yes or no is required");
        }
        Person person = held(id, form.version(), form.active(), "active");
        person.setActive(form.active());
        return withPapers(persons.saveAndFlush(person));
    }

    /** The person for a change; somebody must stay who can make such changes. */
    private Person held(UUID id, Long version, boolean manages, String field) {
        List<Person> everybody = persons.findAllForRoles();
        Person person =
                everybody.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow(People::unknown);
        if (version == null || version != person.version()) {
            throw Refusal.stale("somebody changed these papers meanwhile; check again", null);
        }
        boolean another = everybody.stream()
                .anyMatch(p -> p.isActive() && !p.id().equals(id) && p.roles().contains(Role.QUALITY_MANAGER));
        if (!manages && !another) {
            throw Refusal.invalid(field, "nobody else is quality manager; one must be");
        }
        return person;
    }

    private static Refusal unknown() {
        return Refusal.notFound("that person is not known here");
    }

    /** A new first password from the quality manager; whoever is signed in as this person no longer is. */
    public void resetPassword(UUID id, String password) {
        String login = transactions.execute(
                t -> persons.findById(id).orElseThrow(People::unknown).login());
        String hash = passwords.hash(password, login);
        transactions.executeWithoutResult(
                t -> persons.findById(id).orElseThrow(People::unknown).changePassword(hash));
        wrongTries.unlock(login);
    }

    /** One's own password; the sessions on other devices are over. */
    public void changePassword(Actor actor, String now, String next, String address) {
        signIn(actor.login(), now, address, "now");
        String hash = passwords.hash(next, actor.login());
        transactions.executeWithoutResult(
                t -> persons.findById(actor.id()).orElseThrow(People::unknown).changePassword(hash));
    }

    @Transactional
    public void endSessions(UUID id) {
        persons.findById(id).orElseThrow(People::unknown).endSessions();
    }

    @Transactional(readOnly = true)
    public void unlock(UUID id) {
        wrongTries.unlock(persons.findById(id).orElseThrow(People::unknown).login());
    }

    /** What an inspector's papers say; a person's own id and version guard the change. */
    @AllOptional
    public record Papers(
            String certificate,
            LocalDate certificateUntil,
            LocalDate eyeTestUntil,
            String capacity,
            String mail,
            Long version) {}

    /** @param active false: left, and signs in no more */
    public record WithPapers(Actor person, Papers papers, boolean active) {}

    @Transactional(readOnly = true)
    public List<WithPapers> withPapers() {
        return persons.findAllByOrderByName().stream().map(People::withPapers).toList();
    }

    private static WithPapers withPapers(Person p) {
        return new WithPapers(
                Actor.of(p),
                new Papers(
                        p.certificate(), p.certificateUntil(), p.eyeTestUntil(), p.capacity(), p.mail(), p.version()),
                p.isActive());
    }

    /** Where notices of this person go. */
    @Transactional(readOnly = true)
    public Optional<String> mailOf(UUID id) {
        return persons.findById(id).filter(Person::isActive).map(Person::mail);
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
        String mail = papers.mail() == null || papers.mail().isBlank()
                ? null
                : papers.mail().strip();
        if (mail != null && (mail.length() > LONGEST_MAIL || !MAIL.matcher(mail).matches())) {
            throw Refusal.invalid("mail", "one address, as name@shop.example, of at most " + LONGEST_MAIL + " letters");
        }
        person.certify(papers.certificate(), papers.certificateUntil(), papers.eyeTestUntil(), papers.capacity(), mail);
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
            throw Refusal.forbidden("the certificate of " + person.name() + " ran out on "
                    + Day.shown(person.certificateUntil()) + "; hand the inspection over");
        }
        if (person.eyeTestUntil() != null && today.isAfter(person.eyeTestUntil())) {
            throw Refusal.forbidden("the eye test of " + person.name() + " ran out on "
                    + Day.shown(person.eyeTestUntil()) + "; hand the inspection over");
        }
    }

    private static String forWhom(String capacity) {
        return capacity.equals("QC") ? "the fabricator (QC)" : "the owner (verification)";
    }

    /** Who signs in with this password. After wrong tries from the same place each further one waits longer. */
    public Actor signIn(String login, String password, String address) {
        return signIn(login, password, address, null);
    }

    private Actor signIn(String login, String password, String address, String field) {
        String plain = plain(login);
        Duration wait = wrongTries.wait(plain, address);
        if (!wait.isZero()) {
            throw Refusal.tooMany(wait.toSeconds() + 1);
        }
        // the hash takes long: no connection to the database is held meanwhile
        Person person = persons.findByLogin(plain).filter(Person::isActive).orElse(null);
        String given = password == null ? "" : password;
        if (!passwords.matches(given, person == null ? null : person.passwordHash())) {
            wrongTries.wrong(plain, address);
            throw field == null ? wrong() : Refusal.invalid(field, "this is not your password");
        }
        wrongTries.right(plain, address);
        return Actor.of(person);
    }

    int sessionNumber(UUID id) {
        return persons.findById(id).map(Person::sessionNumber).orElse(-1);
    }

    private static Refusal wrong() {
        return Refusal.unauthorized("login or password is wrong");
    }
}
