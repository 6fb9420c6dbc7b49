package mensor.scan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A profile as measured, or why it was not: never guessed. */
public sealed interface MeasuredProfile {
    /** Points farther apart than this, in mm, pass over a narrow undercut: such a profile says nothing, so that it does not say "none". */
    double MOST_STEP = 0.22;

    double s();

    record Fillet(FilletProfile profile) implements MeasuredProfile {
        @Override
        public double s() {
            return profile.s();
        }
    }

    record Butt(ButtProfile profile) implements MeasuredProfile {
        @Override
        public double s() {
            return profile.s();
        }
    }

    record NotMeasured(double s, String why) implements MeasuredProfile {}

    /** @param deviceU the device's own standard uncertainty of one height, mm */
    static MeasuredProfile of(Profile p, boolean fillet, double deviceU) {
        SeenProfile seen = SeenProfile.of(p, fillet);
        return among(seen, List.of(seen), deviceU);
    }

    /**
     * As above, among its neighbors.
     *
     * @param around it and those beside it
     */
    static MeasuredProfile among(SeenProfile seen, Iterable<SeenProfile> around, double deviceU) {
        Profile p = seen.profile();
        if (p.points() < Profile.LEAST) {
            return new NotMeasured(p.s(), "fewer than " + Profile.LEAST + " points");
        }
        if (p.step() > MOST_STEP) {
            return new NotMeasured(
                    p.s(), String.format(Locale.ROOT, "points %.2g mm apart: too far for a toe", p.step()));
        }
        MemberBows bows = SeenProfile.together(around);
        Optional<Line> a = seen.lineA(bows.a());
        Optional<Line> b = seen.lineB(bows.b());
        if (a.isEmpty() || b.isEmpty()) {
            return new NotMeasured(
                    p.s(), "no straight surface of member " + (a.isEmpty() ? "A" : "B") + ": fewer than 3 mm in view");
        }
        return seen.fillet()
                ? new FilletMeasure(p, a.get(), b.get(), deviceU).measure()
                : new ButtMeasure(p, a.get(), b.get(), deviceU).measure();
    }
}
