package mensor.cause;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.weld.Named;
import mensor.weld.Sign;

/** The shop's knowledge as it stands in {@code causes.md}, the one table that people read and the tracer works from. */
final class CauseTable {
    private static final CauseTable SHOP = read("causes.md");

    /** What a row speaks of, for the rulings and to tell two rows of one cause apart. */
    enum How implements Named {
        /** Needs a weave. */
        WEAVE,
        /** Lies at a start or a stop. */
        ENDS,
        /** Needs more than one pass. */
        PASSES,
        /** Needs vertical down. */
        DOWN,
        /** Needs a low-hydrogen rod. */
        LOW_HYDROGEN,
        /** The gap too wide, or the land too thin. */
        WIDE,
        /** The gap too tight, or the land too thick. */
        TIGHT,
        PREHEAT,
        /** The rod, or the number of passes, is wrong for the size. */
        ROD,
        ANY;

        @Override
        public String id() {
            return this == ANY ? "" : name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    record Row(CauseClass cause, How how, String name, String check, String change) {}

    /**
     * What something speaks for (over zero) or against; the weight is a logarithm of odds.
     *
     * @param how the one row of the cause that it speaks of; empty for all of them
     */
    record Weight(CauseClass cause, Optional<How> how, double weight) {
        boolean speaksOf(Row row) {
            return cause == row.cause() && how.map(h -> h == row.how()).orElse(true);
        }
    }

    private record SignRow(String words, List<Weight> weights) {}

    private record FactKey(Fact fact, Situation situation) {}

    private final Map<String, Double> constants = new HashMap<>();
    private final Map<CauseClass, String> prevention = new EnumMap<>(CauseClass.class);
    private final Map<Situation, List<Row>> rows = new EnumMap<>(Situation.class);
    private final Map<Sign, SignRow> signs = new EnumMap<>(Sign.class);
    private final Map<FactKey, List<Weight>> facts = new HashMap<>();

    static List<Row> rows(Situation situation) {
        return SHOP.rows.get(situation);
    }

    static double constant(String name) {
        return SHOP.constants.get(name);
    }

    static String prevention(CauseClass cause) {
        return SHOP.prevention.get(cause);
    }

    static List<Weight> weights(Sign sign) {
        return SHOP.signs.get(sign).weights();
    }

    static String words(Sign sign) {
        return SHOP.signs.get(sign).words();
    }

    /** What the fact speaks for in this situation; where the table has no row of its own for it, what it does in any. */
    static List<Weight> weights(Fact fact, Situation situation) {
        List<Weight> own = SHOP.facts.get(new FactKey(fact, situation));
        return own != null ? own : SHOP.facts.getOrDefault(new FactKey(fact, null), List.of());
    }

    private static CauseTable read(String name) {
        try (InputStream in = CauseTable.class.getResourceAsStream("/mensor/cause/" + name)) {
            return new CauseTable(new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws IllegalArgumentException with the line that cannot be read */
    CauseTable(List<String> lines) {
        String section = "";
        Situation situation = null;
        for (String line : lines) {
            try {
                if (line.startsWith("## ")) {
                    section = line.substring(3);
                } else if (line.startsWith("### ")) {
                    situation = word(Situation.class, line.substring(4));
                    rows.put(situation, new ArrayList<>());
                } else if (line.startsWith("| ") && !line.startsWith("| ---")) {
                    row(section, situation, cells(line));
                }
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException(e.getMessage() + ": " + line, e);
            }
        }
    }

    private static List<String> cells(String line) {
        return Arrays.stream(line.substring(1).split("\\|")).map(String::strip).toList();
    }

    private void row(String section, Situation situation, List<String> cells) {
        String first = cells.get(0);
        switch (section) {
            case "Method" -> {
                if (!first.equals("constant")) {
                    constants.put(first, Double.parseDouble(cells.get(1)));
                }
            }
            case "Prevention" -> {
                if (!first.equals("cause")) {
                    prevention.put(word(CauseClass.class, first), cells.get(1));
                }
            }
            case "Causes" -> {
                if (!first.equals("cause")) {
                    rows.get(situation)
                            .add(new Row(
                                    word(CauseClass.class, first),
                                    word(How.class, cells.get(1)),
                                    cells.get(2),
                                    cells.get(3),
                                    cells.get(4)));
                }
            }
            case "Signs" -> {
                if (!first.equals("sign")) {
                    signs.put(word(Sign.class, first), new SignRow(cells.get(1), weights(cells.get(2))));
                }
            }
            case "Facts" -> {
                if (!first.equals("fact")) {
                    Situation one = cells.get(1).isEmpty() ? null : word(Situation.class, cells.get(1));
                    facts.put(new FactKey(word(Fact.class, first), one), weights(cells.get(2)));
                }
            }
            default -> throw new IllegalArgumentException("no table is known under \"" + section + "\"");
        }
    }

    private static List<Weight> weights(String cell) {
        return Stream.of(cell.split(","))
                .map(String::strip)
                .map(CauseTable::weight)
                .toList();
    }

    /** {@code fit-up 1.5}, or of one row alone {@code fit-up/wide 1.5}. */
    private static Weight weight(String text) {
        String[] parts = text.split(" ");
        String[] of = parts[0].split("/");
        return new Weight(
                word(CauseClass.class, of[0]),
                of.length > 1 ? Optional.of(word(How.class, of[1])) : Optional.empty(),
                Double.parseDouble(parts[1]));
    }

    private static <E extends Enum<E> & Named> E word(Class<E> type, String id) {
        return Named.find(type, id).orElseThrow(() -> new IllegalArgumentException("\"" + id + "\" is not known"));
    }
}
