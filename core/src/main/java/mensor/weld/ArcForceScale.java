package mensor.weld;

import java.util.List;

/** How a maker marks the arc force of a machine: numbers of its own, or words. */
public sealed interface ArcForceScale {
    /**
     * In percent of the scale, as it shows.
     *
     * @throws InvalidField where the machine has no such number or word
     */
    double percent(String shown);

    /**
     * 0–100, −10…+10 and the like.
     *
     * @param middle the number at which half of the force is on
     */
    record Numbers(double lowest, double middle, double highest) implements ArcForceScale {
        public Numbers {
            if (!(lowest < middle && middle < highest)) {
                throw new InvalidField("arcForceMiddle", "the middle lies between the lowest and the highest number");
            }
        }

        @Override
        public double percent(String shown) {
            double number;
            try {
                number = Double.parseDouble(shown.strip().replace(',', '.'));
            } catch (NumberFormatException e) {
                throw none(shown);
            }
            if (!(number >= lowest && number <= highest)) {
                throw none(shown);
            }
            return number <= middle
                    ? 50 * (number - lowest) / (middle - lowest)
                    : 50 + 50 * (number - middle) / (highest - middle);
        }

        private InvalidField none(String shown) {
            return new InvalidField(
                    "arcForceShown",
                    "this machine's arc force goes from " + Range.plain(lowest) + " to " + Range.plain(highest)
                            + ", got " + shown.strip());
        }
    }

    /** Soft, medium, crisp and the like, from the softest on; evenly apart. */
    record Words(List<String> softestFirst) implements ArcForceScale {
        public Words {
            softestFirst = softestFirst.stream().map(String::strip).toList();
            if (softestFirst.size() < 2
                    || softestFirst.stream().anyMatch(String::isEmpty)
                    || softestFirst.stream().map(String::toLowerCase).distinct().count() < softestFirst.size()) {
                throw new InvalidField("arcForceWords", "two words or more, each another, from the softest on");
            }
        }

        @Override
        public double percent(String shown) {
            for (int i = 0; i < softestFirst.size(); i++) {
                if (softestFirst.get(i).equalsIgnoreCase(shown.strip())) {
                    return 100.0 * i / (softestFirst.size() - 1);
                }
            }
            throw new InvalidField(
                    "arcForceShown",
                    "this machine's arc force is one of " + String.join(", ", softestFirst) + ", got " + shown.strip());
        }
    }
}
