package mensor.criteria;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.criteria.b31.NormalServiceBook;
import mensor.criteria.d11.CyclicBook;
import mensor.criteria.d11.StaticBook;
import mensor.criteria.d11.TubularBook;
import mensor.criteria.d11.WelderTestBook;
import mensor.criteria.iso.Iso5817Book;

/** The books that are built. A new one is added here and nowhere else. */
public final class CriteriaBooks {
    private static final Map<String, CriteriaBook> BY_ID = Stream.<List<? extends CriteriaBook>>of(
                    List.of(new StaticBook(), new CyclicBook(), new TubularBook(), new WelderTestBook()),
                    Iso5817Book.levels(),
                    List.of(new NormalServiceBook()))
            .<CriteriaBook>flatMap(List::stream)
            .collect(Collectors.toMap(CriteriaBook::id, b -> b, (a, b) -> a, LinkedHashMap::new));

    private CriteriaBooks() {}

    public static List<CriteriaBook> all() {
        return List.copyOf(BY_ID.values());
    }

    public static Optional<CriteriaBook> find(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }
}
