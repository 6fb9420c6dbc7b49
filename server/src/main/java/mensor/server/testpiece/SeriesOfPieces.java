package mensor.server.testpiece;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.testpiece.PieceView.CardView;
import mensor.server.testpiece.PieceView.DrillPick;
import mensor.server.testpiece.PieceView.NextPieceView;
import mensor.server.testpiece.PieceView.SeriesView;
import mensor.server.testpiece.PieceView.SettingView;
import mensor.server.testpiece.PieceView.SideBySide;
import mensor.server.testpiece.PieceView.SideBySideRow;
import mensor.server.testpiece.PieceView.TriedView;
import mensor.server.web.Refusal;
import mensor.testpiece.PieceSetting;
import mensor.testpiece.Series;
import mensor.testpiece.SettingChange;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The test pieces of one welder in order: what was changed, what helped, what to change next. */
@Service
public class SeriesOfPieces {
    private final PieceRepository pieces;
    private final Pieces seen;
    private final PieceStates states;
    private final Handouts handouts;

    SeriesOfPieces(PieceRepository pieces, Pieces seen, PieceStates states, Handouts handouts) {
        this.pieces = pieces;
        this.seen = seen;
        this.states = states;
        this.handouts = handouts;
    }

    /** @param drill pieces of this exercise alone; absent for all */
    @Transactional(readOnly = true)
    public SeriesView of(Actor actor, String welder, String drill) {
        if (actor.seesOwnPiecesOnly() && !actor.login().equals(welder)) {
            throw Refusal.notFound("a learner sees the own series only");
        }
        List<PieceStates.State> all =
                states.of(actor, pieces.findByWelderAndWithdrawnFalseOrderByMadeAscRecordedAtAsc(welder));
        List<PieceStates.State> picked = drill == null || drill.isBlank()
                ? all
                : all.stream()
                        .filter(s -> drill.equals(s.view().form().drill()))
                        .toList();
        Series series =
                new Series(picked.stream().map(PieceStates.State::inSeries).toList());
        List<CardView> cards = new ArrayList<>();
        for (int i = 0; i < picked.size(); i++) {
            cards.add(card(picked.get(i), series, i));
        }
        Map<String, String> drills = new LinkedHashMap<>();
        all.forEach(s -> Optional.ofNullable(s.view().drill()).ifPresent(d -> drills.put(d.id(), d.title())));
        Optional<Integer> best = series.best();
        return new SeriesView(
                welder,
                states.names().getOrDefault(welder, welder),
                drills.entrySet().stream()
                        .map(e -> new DrillPick(e.getKey(), e.getValue()))
                        .toList(),
                cards,
                best.orElse(null),
                best.filter(b -> b < picked.size() - 1 && series.isSameExercise(b, picked.size() - 1))
                        .map(b -> series.changes(b, picked.size() - 1).stream()
                                .map(SettingChange::inWords)
                                .toList())
                        .orElse(List.of()),
                series.next()
                        .map(n -> new NextPieceView(n.setting().id(), n.to().orElse(null), n.words(), n.why()))
                        .orElse(null),
                series.tried().stream()
                        .map(t -> new TriedView(t.change().inWords(), Math.round(t.gain() * 10) / 10.0, t.broke()))
                        .toList(),
                (int) picked.stream().filter(s -> s.view().lesson()).count(),
                handouts.of(welder));
    }

    private static CardView card(PieceStates.State s, Series series, int i) {
        return new CardView(
                s.row(),
                shown(s),
                series.stepInWords(i),
                i > 0 && series.isSameExercise(i - 1, i) ? series.changes(i).size() : 0,
                s.view().faults(),
                s.view().ratings().isEmpty()
                        ? List.of()
                        : s.view().ratings().get(s.view().ratings().size() - 1).points(),
                s.view().tests().stream()
                        .filter(t -> !t.withdrawn())
                        .map(t -> t.specimen() + ": " + t.verdict())
                        .toList());
    }

    /** How a piece was made, as shown. */
    @Transactional(readOnly = true)
    public List<SettingView> settings(Actor actor, UUID id) {
        return shown(states.of(actor, List.of(seen.seen(actor, id))).get(0));
    }

    private static List<SettingView> shown(PieceStates.State s) {
        return s.settings().entrySet().stream()
                .map(e -> new SettingView(
                        e.getKey().id(), e.getKey().title(), e.getKey().shown(e.getValue(), s.unit())))
                .toList();
    }

    /** Two pieces beside each other, what differs marked. */
    @Transactional(readOnly = true)
    public SideBySide beside(Actor actor, UUID one, UUID other) {
        List<PieceStates.State> both = states.of(actor, List.of(seen.seen(actor, one), seen.seen(actor, other)));
        PieceStates.State a = both.get(0);
        PieceStates.State b = both.get(1);
        List<SideBySideRow> rows = new ArrayList<>();
        List<SettingChange> changes = SettingChange.between(a.settings(), a.unit(), b.settings(), b.unit());
        for (PieceSetting s : PieceSetting.values()) {
            String left = shown(a, s);
            String right = shown(b, s);
            if (left != null || right != null) {
                boolean differs = changes.stream().anyMatch(c -> c.setting() == s) || (left == null) != (right == null);
                rows.add(new SideBySideRow(s.title(), left, right, differs));
            }
        }
        rows.add(row("score", number(a.view().score()), number(b.view().score())));
        a.view().faults().forEach(f -> rows.add(row(f.fault(), String.valueOf(f.count()), count(b, f.fault()))));
        b.view().faults().stream()
                .filter(f -> a.view().faults().stream().noneMatch(x -> x.fault().equals(f.fault())))
                .forEach(f -> rows.add(row(f.fault(), "0", String.valueOf(f.count()))));
        rows.add(row(
                "specimens",
                a.broke().map(v -> v.id()).orElse(null),
                b.broke().map(v -> v.id()).orElse(null)));
        return new SideBySide(a.view(), b.view(), rows);
    }

    private static SideBySideRow row(String title, String one, String other) {
        return new SideBySideRow(title, one, other, !Objects.equals(one, other));
    }

    private static String count(PieceStates.State s, String fault) {
        return s.view().faults().stream()
                .filter(f -> f.fault().equals(fault))
                .map(f -> String.valueOf(f.count()))
                .findFirst()
                .orElse("0");
    }

    private static String number(Double n) {
        return n == null ? null : mensor.weld.Range.plain(n);
    }

    private static String shown(PieceStates.State s, PieceSetting setting) {
        String value = s.settings().get(setting);
        return value == null ? null : setting.shown(value, s.unit());
    }
}
