package mensor.testpiece;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.weld.InvalidField;

/**
 * How well a test piece is made, from 0 to 10: for teaching. It says nothing of pass and fail, which are the code's. A shop may have its
 * own.
 */
public record Rubric(List<Part> parts) {
    private static final int MOST_PARTS = 12;
    private static final int LONGEST = 200;
    /** All parts together. */
    public static final int FULL = 10;

    /** Common practice, no source. */
    public static final Rubric USUAL = new Rubric(List.of(
            new Part("profile", "Size and profile", 2, "legs and throat as asked, face flat to slightly convex"),
            new Part("toes", "Toes", 2, "wetted in, no undercut, no overlap, straight"),
            new Part("uniformity", "Uniformity", 2, "ripples and width alike from end to end"),
            new Part("tie-ins", "Tie-ins", 2, "starts and stops that cannot be found, craters filled"),
            new Part("cleaning", "Cleaning", 1, "slag and spatter off, no strikes beside the weld"),
            new Part("defects", "Defects", 1, "none seen")));

    /**
     * One line of it.
     *
     * @param most points for it
     * @param full what earns all of them
     */
    public record Part(String id, String title, int most, String full) {}

    public Rubric {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw new InvalidField("parts", "1 to " + MOST_PARTS + " lines are required");
        }
        for (int i = 0; i < parts.size(); i++) {
            Part p = parts.get(i);
            String at = "parts[" + i + "].";
            if (!p.id().matches("[a-z0-9][a-z0-9-]{0,39}")) {
                throw new InvalidField(at + "id", "small letters, digits and hyphens are required");
            }
            text(at + "title", p.title());
            text(at + "full", p.full());
            if (p.most() < 1 || p.most() > FULL) {
                throw new InvalidField(at + "most", "1 to " + FULL + " points are required");
            }
        }
        if (parts.stream().map(Part::id).distinct().count() != parts.size()) {
            throw new InvalidField("parts", "two lines have the same id");
        }
        int sum = parts.stream().mapToInt(Part::most).sum();
        if (sum != FULL) {
            throw new InvalidField("parts", "all points together are " + FULL + ", got " + sum);
        }
    }

    private static void text(String field, String text) {
        if (text.isBlank() || text.length() > LONGEST) {
            throw new InvalidField(field, "1 to " + LONGEST + " letters are required");
        }
    }

    public Optional<Part> part(String id) {
        return parts.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /**
     * The sum of the points.
     *
     * @throws InvalidField where a point is missing, out of its range, or for no line of the rubric
     */
    public int sum(Map<String, Integer> points) {
        for (String id : points.keySet()) {
            part(id).orElseThrow(() -> new InvalidField("points." + id, "is no line of the rubric"));
        }
        int sum = 0;
        for (Part p : parts) {
            Integer given = points.get(p.id());
            if (given == null || given < 0 || given > p.most()) {
                throw new InvalidField("points." + p.id(), p.title() + ": 0 to " + p.most() + " are required");
            }
            sum += given;
        }
        return sum;
    }
}
