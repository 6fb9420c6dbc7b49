package mensor.server.rejectrate;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Questions about the signed inspections and their repairs, each with a plot, its numbers and its answer. */
public record PlotsView(String of, List<PlotView> plots) {

    /** How a plot is drawn. */
    public enum Shape {
        /** Points over time, each with the limits that chance keeps. */
        CONTROL,
        /** Bars, the largest first, and the line of their sum. */
        PARETO,
        /** Points with their intervals, one below the other or over time. */
        INTERVALS,
        /** A share that falls with time, and its band. */
        STEPS,
        /** What was estimated across, what was true up. */
        PAIRS
    }

    /**
     * A question.
     *
     * @param enough so much is on record that the answer says something; else it says what is missing
     * @param unit of the values
     * @param middle the mean or the median, where there is one
     * @param note how it was reckoned
     */
    public record PlotView(
            String id,
            String question,
            String answer,
            boolean enough,
            Shape shape,
            String unit,
            @Nullable Double middle,
            List<String> columns,
            List<PlotPointView> points,
            String note) {}

    /**
     * A point and its row in the table.
     *
     * @param key the welds behind it are asked for by this
     * @param cells one for each column
     * @param cumulative share of all down to it, of a Pareto's bar
     * @param expected what was estimated, of a pair
     * @param mark OUT beyond its limits, RUN one of many on one side, HIGH over the rest by more than chance, FEW too few to say
     */
    public record PlotPointView(
            String key,
            String name,
            List<String> cells,
            double value,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double cumulative,
            @Nullable Double expected,
            @Nullable Mark mark) {}

    public enum Mark {
        OUT,
        RUN,
        HIGH,
        FEW
    }

    /** The welds behind a point, the newest first; at most so many as a page shows. */
    public record PlotWelds(String of, List<PlotWeldView> welds, long count) {}

    /**
     * @param inspectionId to open it at the bench; absent of a test piece of its own
     * @param pieceId of a test piece
     * @param said what makes it part of the point
     */
    public record PlotWeldView(
            @Nullable UUID inspectionId,
            @Nullable UUID pieceId,
            String mark,
            @Nullable String lot,
            @Nullable String job,
            @Nullable Instant at,
            String said) {}
}
