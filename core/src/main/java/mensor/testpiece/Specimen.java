package mensor.testpiece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Unit;

/**
 * What a specimen showed after it was bent, broken or cut, and what that comes to by the limits for a welder's test piece:
 * AWS D1.1 6.10 (4.9) and its fillet tests, from memory, medium confidence.
 */
public sealed interface Specimen {
    String CITATION = "AWS D1.1/D1.1M, 6.10 (4.9), from memory: check against your copy";

    Result judge(Unit units);

    /**
     * The verdict with each limit that decided.
     *
     * @param replace the specimen tells nothing: another is tested in its place
     */
    record Result(Verdict verdict, List<String> lines, boolean replace) {}

    /** A crack that runs in from the corner of a bend specimen. */
    record CornerCrack(Length length, boolean fromSlagOrFusion) {}

    /**
     * A bend: the openings on the bent face, each at its longest, and the cracks at its corners.
     *
     * @param lookedOver all of the bent face and its corners was looked over: nothing opened but what is listed
     */
    record Bend(List<Length> openings, List<CornerCrack> corners, boolean lookedOver) implements Specimen {
        @Override
        public Result judge(Unit units) {
            Length single = units.pick(Length.inches(1, 8), Length.millimetres("3"));
            Length counted = units.pick(Length.inches(1, 32), Length.millimetres("1"));
            Length most = units.pick(Length.inches(3, 8), Length.millimetres("10"));
            Length corner = units.pick(Length.inches(1, 4), Length.millimetres("6"));
            Verdicts v = new Verdicts();
            openings.stream()
                    .filter(o -> o.isOver(single))
                    .forEach(o ->
                            v.fails("an opening of " + o.shownWithUnit() + "; " + single.shownWithUnit() + " allowed"));
            Length sum = openings.stream()
                    .filter(o -> o.isOver(counted) && !o.isOver(single))
                    .reduce(Length.zero(units), Length::plus);
            if (sum.isOver(most)) {
                v.fails("openings over " + counted.shownWithUnit() + " add up to " + sum.shownWithUnit() + "; "
                        + most.shownWithUnit() + " allowed");
            }
            boolean replace = false;
            for (CornerCrack c : corners) {
                String crack = "a corner crack of " + c.length().shownWithUnit();
                if (c.fromSlagOrFusion()) {
                    if (c.length().isOver(single)) {
                        v.fails(crack + " from slag or lack of fusion; " + single.shownWithUnit() + " allowed");
                    }
                } else if (c.length().isOver(corner)) {
                    replace = true;
                    v.says(crack + " without slag or lack of fusion, over " + corner.shownWithUnit()
                            + ": the specimen is discarded and another tested");
                }
            }
            if (!lookedOver) {
                v.asks("was all of the bent face looked over, and its corners?");
            }
            return v.result("bent without more than is allowed", replace);
        }
    }

    /**
     * A fillet broken open along its root.
     *
     * @param bentFlat it bent flat upon itself without breaking
     * @param fullFusion the fracture shows fusion to the root all along; absent where it bent flat
     * @param largest the largest inclusion or pore seen; zero where none was
     * @param sum all of them together
     */
    record FilletBreak(boolean bentFlat, Optional<Boolean> fullFusion, Optional<Length> largest, Optional<Length> sum)
            implements Specimen {
        @Override
        public Result judge(Unit units) {
            Verdicts v = new Verdicts();
            if (bentFlat) {
                return v.result("bent flat", false);
            }
            Length one = units.pick(Length.inches(3, 32), Length.millimetres("2.5"));
            Length all = units.pick(Length.inches(3, 8), Length.millimetres("10"));
            if (fullFusion.isEmpty()) {
                v.asks("is it fused to the root all along?");
            } else if (!fullFusion.get()) {
                v.fails("not fused to the root all along");
            }
            v.most("inclusion or pore", largest, one);
            v.most("inclusions and pores together", sum, all);
            return v.result("fused to the root", false);
        }
    }

    /**
     * A specimen nicked and broken through the weld. What is allowed is the procedure's or the shop's own: none is kept here.
     *
     * @param inclusion the longest; zero where none was seen
     * @param pore the largest across; zero where none was seen
     * @param apart how near the nearest two pores lie, between their edges; absent where there are not two
     */
    record NickBreak(
            Optional<Boolean> fullFusion,
            Optional<Length> inclusion,
            Optional<Length> allowedInclusion,
            Optional<Length> pore,
            Optional<Length> allowedPore,
            Optional<Length> apart,
            Optional<Length> allowedApart)
            implements Specimen {
        @Override
        public Result judge(Unit units) {
            Verdicts v = new Verdicts();
            v.wanted("fusion over the whole break", fullFusion, "not fused all over");
            v.held("inclusion", inclusion, allowedInclusion);
            v.held("pore", pore, allowedPore);
            apart.ifPresent(near -> {
                if (allowedApart.isEmpty()) {
                    v.asks("how near pores may lie: the procedure's or the shop's limit is wanted");
                } else if (near.isUnder(allowedApart.get())) {
                    v.fails("pores " + near.shownWithUnit() + " apart; "
                            + allowedApart.get().shownWithUnit() + " wanted");
                }
            });
            return v.result("fused, nothing over what the procedure or the shop allows", false);
        }
    }

    /**
     * A section polished and etched.
     *
     * @param profileAsRequired face and toes: convexity or crown, overlap, undercut between the beads
     * @param throat as read, for the record; so is the penetration past the root
     */
    record Macro(
            Optional<Boolean> cracks,
            Optional<Boolean> fullFusion,
            Optional<Boolean> fusedToRoot,
            Optional<Boolean> legsAsRequired,
            Optional<Boolean> profileAsRequired,
            Optional<Length> undercut,
            Optional<Length> throat,
            Optional<Length> penetration)
            implements Specimen {
        @Override
        public Result judge(Unit units) {
            Verdicts v = new Verdicts();
            v.wanted("cracks", cracks.map(c -> !c), "a crack");
            v.wanted("fusion between beads and to the base metal", fullFusion, "not fused all over");
            v.wanted("fusion to the root", fusedToRoot, "not fused to the root");
            v.wanted("legs as required", legsAsRequired, "a leg under what is required");
            v.wanted("profile as required", profileAsRequired, "the profile is not as required");
            v.most("undercut", undercut, units.pick(Length.inches(1, 32), Length.millimetres("1")));
            return v.result(
                    "no cracks, fused throughout, legs and profile as required" + read("throat", throat)
                            + read("penetration past the root", penetration),
                    false);
        }

        private static String read(String what, Optional<Length> length) {
            return length.map(l -> "; " + what + " " + l.shownWithUnit()).orElse("");
        }
    }

    /** Gathers what fails and what is not answered. */
    final class Verdicts {
        private final List<String> failing = new ArrayList<>();
        private final List<String> asking = new ArrayList<>();
        private final List<String> saying = new ArrayList<>();

        void fails(String line) {
            failing.add(line);
        }

        void asks(String line) {
            asking.add(line);
        }

        void says(String line) {
            saying.add(line);
        }

        void wanted(String what, Optional<Boolean> well, String fault) {
            if (well.isEmpty()) {
                asks(what + ": not answered");
            } else if (!well.get()) {
                fails(fault);
            }
        }

        void most(String what, Optional<Length> read, Length most) {
            if (read.isEmpty()) {
                asks(what + ": not read");
            } else if (read.get().isOver(most)) {
                fails(what + " " + read.get().shownWithUnit() + "; " + most.shownWithUnit() + " allowed");
            }
        }

        /** Against a limit that somebody must have set; what is not there needs none. */
        void held(String what, Optional<Length> read, Optional<Length> allowed) {
            if (read.isPresent() && read.get().isPositive() && allowed.isEmpty()) {
                asks(what + " " + read.get().shownWithUnit() + ": the procedure's or the shop's limit is wanted");
            } else {
                most(what, read, allowed.or(() -> read).orElse(null));
            }
        }

        Result result(String sound, boolean replace) {
            if (!failing.isEmpty()) {
                return new Result(Verdict.REJECT, List.copyOf(failing), false);
            }
            if (replace) {
                return new Result(Verdict.INCOMPLETE, List.copyOf(saying), true);
            }
            return asking.isEmpty()
                    ? new Result(Verdict.ACCEPT, List.of(sound), false)
                    : new Result(Verdict.INCOMPLETE, List.copyOf(asking), false);
        }
    }
}
