package mensor.server.record;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import mensor.exchange.Seal;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Other installations whose signatures are taken as verified; the quality manager compares the fingerprint by telephone and says so. */
@Service
public class Installations {
    private static final int LONGEST_NAME = 120;

    private final TrustedInstallationRepository trusted;
    private final SealJournal journal;
    private final SealHeads heads;
    private final SigningClock signingClock;
    private final Clock clock;

    Installations(
            TrustedInstallationRepository trusted,
            SealJournal journal,
            SealHeads heads,
            SigningClock signingClock,
            Clock clock) {
        this.trusted = trusted;
        this.journal = journal;
        this.heads = heads;
        this.signingClock = signingClock;
        this.clock = clock;
    }

    /** @param fingerprint as it is read out */
    public record InstallationView(UUID id, String fingerprint, String name) {}

    /**
     * @param own of this installation
     * @param journal how far its journal of seals goes, as it is printed
     * @param journalFault what the start found wrong with it
     * @param clockFault why nothing can be signed by this machine's clock
     */
    public record InstallationsView(
            String own,
            String journal,
            @Nullable String journalFault,
            @Nullable String clockFault,
            List<InstallationView> trusted) {}

    @Transactional(readOnly = true)
    public InstallationsView all() {
        return new InstallationsView(
                Seal.inGroups(journal.fingerprint()),
                journal.head().shown(),
                heads.fault().orElse(null),
                signingClock.fault().orElse(null),
                trusted.findAllByOrderByName().stream()
                        .map(t -> new InstallationView(t.id(), Seal.inGroups(t.fingerprint()), t.name()))
                        .toList());
    }

    /** @param origin a key's fingerprint, or {@link SignedElsewhere#UNSEALED} */
    @Transactional(readOnly = true)
    public SignedElsewhere elsewhere(String origin) {
        return origin.equals(SignedElsewhere.UNSEALED)
                ? new SignedElsewhere(null, null)
                : new SignedElsewhere(
                        Seal.inGroups(origin),
                        trusted.findByFingerprint(origin)
                                .map(TrustedInstallation::name)
                                .orElse(null));
    }

    private static void checkMay(Actor actor) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("which installation's signatures are taken as verified, the quality manager says");
        }
    }

    /** @param fingerprint as it was read out, or as the whole file says it */
    @Transactional
    public InstallationsView trust(Actor actor, String fingerprint, String name) {
        checkMay(actor);
        String digits =
                String.valueOf(fingerprint).replaceAll("[^0-9A-Fa-f]", "").toUpperCase(Locale.ROOT);
        if (digits.length() != Seal.FINGERPRINT_DIGITS) {
            throw Refusal.invalid(
                    "fingerprint",
                    "the fingerprint has " + Seal.FINGERPRINT_DIGITS + " digits 0–9, A–F in groups of four");
        }
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw Refusal.invalid("name", "what the installation is called, in up to " + LONGEST_NAME + " letters");
        }
        if (digits.equals(journal.fingerprint())) {
            throw Refusal.invalid("fingerprint", "that is this installation itself");
        }
        Optional<TrustedInstallation> known = trusted.findByFingerprint(digits);
        if (known.isPresent()) {
            throw Refusal.conflict(
                    "this installation is trusted already, as " + known.get().name());
        }
        trusted.saveAndFlush(new TrustedInstallation(digits, name.strip(), actor.id(), clock.instant()));
        return all();
    }

    /** What it signed is shown as not verified from now on. */
    @Transactional
    public InstallationsView distrust(Actor actor, UUID id) {
        checkMay(actor);
        trusted.delete(trusted.findById(id).orElseThrow(() -> Refusal.notFound("there is no such installation")));
        trusted.flush();
        return all();
    }

    /** The clock is right though it is before the last signature. */
    @Transactional
    public InstallationsView confirmClock(Actor actor, String reason) {
        signingClock.confirm(actor, reason);
        return all();
    }
}
