package mensor.criteria;

import java.util.List;
import java.util.Optional;
import mensor.criteria.d11.CyclicBook;
import mensor.criteria.d11.StaticBook;
import mensor.criteria.d11.TubularBook;
import mensor.criteria.d11.WelderTestBook;

/** The books that are built. A new one is added here and nowhere else. */
public final class CriteriaBooks {
    private static final List<CriteriaBook> ALL =
            List.of(new StaticBook(), new CyclicBook(), new TubularBook(), new WelderTestBook());

    private CriteriaBooks() {}

    public static List<CriteriaBook> all() {
        return ALL;
    }

    public static Optional<CriteriaBook> find(String id) {
        return ALL.stream().filter(b -> b.id().equals(id)).findFirst();
    }
}
