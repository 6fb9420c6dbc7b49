package mensor.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A profile with what it shows of both members, before its neighbors are asked how they bend. */
record SeenProfile(Profile profile, boolean fillet, MemberView a, MemberView b, MemberBows bows) {
    static SeenProfile of(Profile p, boolean fillet) {
        if (p.points() < Profile.LEAST) {
            return new SeenProfile(p, fillet, null, null, new MemberBows(MemberBow.NONE, MemberBow.NONE));
        }
        MemberView a = MemberView.of(p, true);
        MemberView b = MemberView.of(p, false);
        MemberBows bows = fillet
                ? new MemberBows(a.bow(), b.bow())
                : new MemberBows(MemberBow.STRAIGHT, MemberBow.STRAIGHT); // of a butt's members nothing is asked
        return new SeenProfile(p, fillet, a, b, bows);
    }

    Optional<Line> lineA(MemberBow bow) {
        return fillet ? a.beside(bow) : a.outer();
    }

    Optional<Line> lineB(MemberBow bow) {
        return fillet ? b.beside(bow) : b.outer();
    }

    /** What profiles beside each other say together of how the members bend. */
    static MemberBows together(Iterable<SeenProfile> neighbors) {
        List<MemberBow> a = new ArrayList<>();
        List<MemberBow> b = new ArrayList<>();
        for (SeenProfile s : neighbors) {
            a.add(s.bows.a());
            b.add(s.bows.b());
        }
        return new MemberBows(MemberBow.of(a), MemberBow.of(b));
    }
}
