package mensor.server.gauge;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The register of gauges, and each inspector's kit for the day. */
@Service
public class Gauges {
    private final GaugeRepository gauges;
    private final KitRepository kits;
    private final Clock clock;

    Gauges(GaugeRepository gauges, KitRepository kits, Clock clock) {
        this.gauges = gauges;
        this.kits = kits;
        this.clock = clock;
    }

    /** @param fault why it may not be used today; absent where it may */
    public record GaugeView(
            UUID id, GaugeForm form, @Nullable String fault, long version) {}

    @Transactional(readOnly = true)
    public List<GaugeView> all() {
        return gauges.findAllByOrderByName().stream().map(this::view).toList();
    }

    private GaugeView view(GaugeEntity g) {
        return new GaugeView(g.id(), g.form(), g.gauge().fault(today()).orElse(null), g.version());
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    @Transactional(readOnly = true)
    public StoredGauge get(UUID id) {
        return gauges.findById(id).orElseThrow(() -> Refusal.notFound("there is no such gauge"));
    }

    @Transactional(readOnly = true)
    public Optional<GaugeForm> find(UUID id) {
        return gauges.findById(id).map(GaugeEntity::form);
    }

    /** The next finer gauge that may be used today, in words; any that has a division where none is known. */
    @Transactional(readOnly = true)
    public Optional<String> finerThan(Optional<Length> division) {
        return gauges.findAllByOrderByName().stream()
                .map(GaugeEntity::gauge)
                .filter(g -> g.division().isPresent() && g.fault(today()).isEmpty())
                .filter(g -> division.map(d -> g.division().get().isUnder(d)).orElse(true))
                .max(Comparator.comparing(g -> g.division().get()))
                .map(g -> g.name() + " (" + g.kind() + ", " + g.division().get().shownWithUnit() + ")");
    }

    private Map<UUID, GaugeEntity> byId(List<UUID> ids) {
        return gauges.findAllById(ids).stream().collect(Collectors.toMap(GaugeEntity::id, g -> g));
    }

    /** The names of gauges, those that are no longer known left out. */
    @Transactional(readOnly = true)
    public List<String> names(List<UUID> ids) {
        Map<UUID, GaugeEntity> known = byId(ids);
        return ids.stream()
                .filter(known::containsKey)
                .map(id -> known.get(id).name())
                .toList();
    }

    /** Whether all of these may be used today, or were waived by name; empty where none is named. */
    @Transactional(readOnly = true)
    public Optional<Boolean> hold(List<UUID> ids, Collection<String> waived) {
        if (ids.isEmpty()) {
            return Optional.empty();
        }
        Map<UUID, GaugeEntity> known = byId(ids);
        return Optional.of(ids.stream()
                .map(known::get)
                .allMatch(g -> g != null
                        && (waived.contains(g.name())
                                || g.gauge().fault(today()).isEmpty())));
    }

    /** The gauges of these names that the register knows. */
    @Transactional(readOnly = true)
    public List<GaugeForm> named(Collection<String> names) {
        return names.isEmpty()
                ? List.of()
                : gauges.findByNameIn(names).stream().map(GaugeEntity::form).toList();
    }

    @Transactional
    public GaugeView put(Actor actor, UUID id, GaugeForm form, Long version) {
        if (!actor.is(Role.INSPECTOR, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("gauges are registered by an inspector or the quality manager");
        }
        if (form == null) {
            throw Refusal.invalid("form", "the gauge is missing");
        }
        need("name", form.name(), "a name that stands on the gauge");
        need("kind", form.kind(), "what kind of gauge it is");
        length("division", form.division());
        length("range", form.range());
        length("uncertainty", form.uncertainty());
        gauges.findByName(form.name().strip()).filter(g -> !g.id().equals(id)).ifPresent(g -> {
            throw Refusal.invalid("name", "there is a gauge of this name");
        });
        GaugeEntity gauge = gauges.findById(id).orElse(null);
        if (gauge != null && (version == null || gauge.version() != version)) {
            throw Refusal.stale("somebody changed this gauge meanwhile; check again", null);
        }
        if (gauge == null) {
            gauge = new GaugeEntity(id);
        }
        gauge.set(form);
        return view(gauges.saveAndFlush(gauge));
    }

    /**
     * From now on the gauge's readings are as uncertain as a study found them.
     *
     * @param standardUncertainty as a length; absent where its division and certificate are to stand again
     */
    @Transactional
    public void measured(Actor actor, UUID id, @Nullable String standardUncertainty, @Nullable String study) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("the quality manager decides by which uncertainty a gauge is judged");
        }
        length("measured", standardUncertainty);
        GaugeEntity gauge =
                gauges.findById(id).orElseThrow(() -> Refusal.notFound("this gauge is not in the register"));
        gauge.setMeasured(standardUncertainty, study);
        gauges.saveAndFlush(gauge);
    }

    /** A gauge by the name that stands on it. */
    @Transactional(readOnly = true)
    public Optional<? extends StoredGauge> byName(String name) {
        return gauges.findByName(name);
    }

    private static void need(String field, String value, String wanted) {
        if (value == null || value.isBlank() || value.length() > 60) {
            throw Refusal.invalid(field, wanted + ", up to 60 letters");
        }
    }

    private static void length(String field, String value) {
        try {
            if (value != null && !Length.parse(value, Unit.INCH).isPositive()) {
                throw Refusal.invalid(field, "must be over zero");
            }
        } catch (LengthFormatException e) {
            throw Refusal.invalid(field, e.getMessage());
        }
    }

    /** The person's kit of today. */
    @Transactional(readOnly = true)
    public List<UUID> kit(UUID person) {
        return kits.findByPersonIdAndKitDay(person, today())
                .map(k -> Arrays.stream(k.gauges().split(","))
                        .filter(s -> !s.isBlank())
                        .map(UUID::fromString)
                        .toList())
                .orElse(List.of());
    }

    /** Refuses a gauge that may not be used today. */
    @Transactional
    public List<UUID> takeKit(Actor actor, List<UUID> ids) {
        if (!actor.inspects()) {
            throw Refusal.forbidden("only an inspector carries a kit");
        }
        for (UUID id : ids) {
            get(id).form().gauge().fault(today()).ifPresent(f -> {
                throw Refusal.invalid("gauges", f + "; it cannot be carried today");
            });
        }
        KitEntity kit =
                kits.findByPersonIdAndKitDay(actor.id(), today()).orElseGet(() -> new KitEntity(actor.id(), today()));
        kit.setGauges(ids.stream().distinct().map(UUID::toString).collect(Collectors.joining(",")));
        kits.save(kit);
        return ids;
    }
}
