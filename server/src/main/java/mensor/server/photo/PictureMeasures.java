package mensor.server.photo;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.picture.Homography.Spot;
import mensor.picture.PicturePlane;
import mensor.picture.PictureQuantity;
import mensor.picture.ScaledPicture;
import mensor.picture.StraightenedPicture;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Measures in a picture: marks of known distance or a card of known size, then what is pointed at. */
@Component
public class PictureMeasures {
    /** A printed card measured with a rule is known to half a millimeter in a hundred (common practice, no source). */
    private static final double CARD = 0.005;

    private static final double MOST_PIXELS = 1000;
    private static final double MOST_PLACE = 1e6;

    /** A place in the picture, in pixels. */
    @AllOptional
    public record PicturePlace(Double x, Double y) {}

    /**
     * What is measured.
     *
     * @param marks two points, with their distance; or the four corners of a card around it, with its width and height
     * @param pixels how surely a finger points, a standard deviation in the picture's pixels
     */
    @AllOptional
    public record MeasureForm(
            List<PicturePlace> marks,
            String distance,
            String width,
            String height,
            String units,
            String quantity,
            List<PicturePlace> points,
            Double pixels) {}

    /**
     * A value from a picture.
     *
     * @param said value and uncertainty in words
     * @param entered the value as an entry takes it; absent of an area
     * @param division twice its standard uncertainty, as an entry's
     */
    public record PictureValue(
            double value,
            double u,
            String said,
            @Nullable String entered,
            @Nullable String division) {}

    /** What can be measured, and what is pointed at for it. */
    public record PictureQuantityView(String id, String title, String points, int least, int most) {}

    public List<PictureQuantityView> quantities() {
        return Arrays.stream(PictureQuantity.values())
                .map(q -> new PictureQuantityView(q.id(), q.title(), q.points(), q.least(), q.most()))
                .toList();
    }

    public PictureValue of(MeasureForm form) {
        Unit unit = Arrays.stream(Unit.values())
                .filter(u -> u.symbol().equals(form.units()))
                .findFirst()
                .orElseThrow(() -> Refusal.invalid("units", "in or mm is required"));
        PictureQuantity quantity = Named.find(PictureQuantity.class, String.valueOf(form.quantity()))
                .orElseThrow(() -> Refusal.invalid("quantity", "one of " + Named.list(PictureQuantity.class)));
        PictureQuantity.Measured m;
        PicturePlane plane = plane(form, unit);
        try {
            m = quantity.in(plane, spots("points", form.points()));
        } catch (IllegalArgumentException e) {
            throw Refusal.invalid("points", e.getMessage());
        }
        String symbol = unit.symbol() + (quantity.power() == 2 ? "²" : "");
        int digits = digits(m.u());
        String said = fixed(m.value(), digits) + " " + symbol + " ± " + fixed(2 * m.u(), digits) + " " + symbol
                + " (95 %), from a picture";
        return quantity.power() == 2
                ? new PictureValue(m.value(), m.u(), said, null, null)
                : new PictureValue(
                        m.value(),
                        m.u(),
                        said,
                        rounded(m.value(), RoundingMode.HALF_UP, digits + 1) + unit.symbol(),
                        rounded(Math.max(2 * m.u(), 0.001), RoundingMode.UP, digits + 1) + unit.symbol());
    }

    private static PicturePlane plane(MeasureForm form, Unit unit) {
        List<Spot> marks = spots("marks", form.marks());
        double pixels = Math.min(MOST_PIXELS, Math.max(0.5, Objects.requireNonNullElse(form.pixels(), 2.0)));
        try {
            return marks.size() == 2
                    ? new ScaledPicture(length("distance", form.distance(), unit), marks, pixels, ScaledPicture.BY_EYE)
                    : new StraightenedPicture(
                            length("width", form.width(), unit),
                            length("height", form.height(), unit),
                            marks,
                            pixels,
                            CARD);
        } catch (IllegalArgumentException e) {
            throw Refusal.invalid("marks", e.getMessage());
        }
    }

    private static List<Spot> spots(String field, List<PicturePlace> places) {
        List<PicturePlace> all = places == null ? List.of() : places;
        boolean there = all.stream()
                .allMatch(p -> p != null
                        && p.x() != null
                        && p.y() != null
                        && Math.abs(p.x()) < MOST_PLACE
                        && Math.abs(p.y()) < MOST_PLACE);
        if (!there) {
            throw Refusal.invalid(field, "places in the picture, x and y in pixels");
        }
        return all.stream().map(p -> new Spot(p.x(), p.y())).toList();
    }

    /** In the unit. */
    private static double length(String field, String said, Unit unit) {
        if (said == null || said.isBlank()) {
            throw Refusal.invalid(field, "the true length is required");
        }
        try {
            Length length = Length.parse(said, unit);
            if (!length.isPositive()) {
                throw Refusal.invalid(field, "a length over zero is required");
            }
            return length.approximateNanometres() / unit.nanometres();
        } catch (LengthFormatException e) {
            throw Refusal.invalid(field, e.getMessage());
        }
    }

    /** So many places that the uncertainty shows with one figure or two. */
    private static int digits(double u) {
        return u <= 0 ? 3 : (int) Math.max(0, Math.min(4, Math.ceil(-Math.log10(2 * u) + 0.3)));
    }

    private static String fixed(double v, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", v);
    }

    private static String rounded(double v, RoundingMode mode, int digits) {
        return BigDecimal.valueOf(v).setScale(digits, mode).stripTrailingZeros().toPlainString();
    }
}
