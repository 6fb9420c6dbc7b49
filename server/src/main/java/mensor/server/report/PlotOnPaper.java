package mensor.server.report;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Stroke;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import mensor.server.rejectrate.PlotsView.Mark;
import mensor.server.rejectrate.PlotsView.PlotPointView;
import mensor.server.rejectrate.PlotsView.PlotView;
import org.apache.batik.anim.dom.SVGDOMImplementation;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.jfree.chart.ChartFactory;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.SymbolAxis;
import org.jfree.chart.plot.CategoryPlot;
import org.jfree.chart.plot.DatasetRenderingOrder;
import org.jfree.chart.plot.Plot;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.category.BarRenderer;
import org.jfree.chart.renderer.category.CategoryStepRenderer;
import org.jfree.chart.renderer.category.LineAndShapeRenderer;
import org.jfree.chart.renderer.category.StandardBarPainter;
import org.jfree.chart.renderer.xy.XYErrorRenderer;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.renderer.xy.XYStepRenderer;
import org.jfree.data.category.DefaultCategoryDataset;
import org.jfree.data.xy.XYIntervalSeries;
import org.jfree.data.xy.XYIntervalSeriesCollection;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;
import org.w3c.dom.Document;

/** A plot as vectors for paper, letters as shapes. */
final class PlotOnPaper {
    private static final int WIDE = 640;
    private static final int HIGH = 220;
    private static final int ROW = 20;
    /** More rows than this do not fit beside the table, which has them all. */
    private static final int MOST_ROWS = 16;

    private static final Color INK = Color.decode(Palette.LAYOUT);
    private static final Color QUIET = Color.decode(Palette.QUIET);
    private static final Color REJECT = Color.decode(Palette.REJECT);
    private static final Color GRID = Color.decode(Palette.LINE);
    private static final Stroke THICK = new BasicStroke(1.6f);
    private static final Stroke DASHED =
            new BasicStroke(1f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 10, new float[] {4, 3}, 0);
    private static final Font LETTERS = letters();

    private PlotOnPaper() {}

    private static Font letters() {
        try (InputStream in = PlotOnPaper.class.getResourceAsStream("/fonts/AtkinsonHyperlegibleNext-Regular.ttf")) {
            return Font.createFont(Font.TRUETYPE_FONT, in).deriveFont(11f);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException(e);
        }
    }

    static String of(PlotView plot) {
        int rows = Math.min(MOST_ROWS, plot.points().size());
        return switch (plot.shape()) {
            case CONTROL -> drawn(control(plot), HIGH);
            case PARETO -> drawn(pareto(plot), HIGH);
            case INTERVALS -> drawn(intervals(plot, rows), 60 + ROW * rows);
            case STEPS -> drawn(steps(plot), HIGH);
            case PAIRS -> drawn(pairs(plot), HIGH);
        };
    }

    /** The rate with its limits, month by month; what is marked is filled red. */
    private static JFreeChart control(PlotView p) {
        DefaultCategoryDataset rates = new DefaultCategoryDataset();
        DefaultCategoryDataset limits = new DefaultCategoryDataset();
        for (PlotPointView x : p.points()) {
            String foot = x.name().replace("welds ", "").replace(" to ", "–"); // as on the screen: there is little room
            rates.addValue(x.value(), "rate", foot);
            limits.addValue(x.low(), "low", foot);
            limits.addValue(x.high(), "high", foot);
        }
        JFreeChart chart = ChartFactory.createLineChart(null, null, p.unit(), rates);
        CategoryPlot plot = chart.getCategoryPlot();
        plot.setRenderer(0, new LineAndShapeRenderer() {
            @Override
            public java.awt.Paint getItemPaint(int row, int column) {
                return isOff(p.points().get(column)) ? REJECT : INK;
            }
        });
        plot.getRenderer(0).setSeriesStroke(0, THICK);
        plot.getRenderer(0).setSeriesShape(0, new Ellipse2D.Double(-3, -3, 6, 6));
        plot.setDataset(1, limits);
        CategoryStepRenderer steps = new CategoryStepRenderer(true);
        for (int i = 0; i < 2; i++) {
            steps.setSeriesPaint(i, REJECT);
            steps.setSeriesStroke(i, DASHED);
        }
        plot.setRenderer(1, steps);
        if (p.middle() != null) {
            plot.addRangeMarker(new ValueMarker(p.middle(), QUIET, THICK));
        }
        return dressed(chart, plot);
    }

    private static boolean isOff(PlotPointView x) {
        return x.mark() == Mark.OUT || x.mark() == Mark.RUN;
    }

    private static JFreeChart pareto(PlotView p) {
        DefaultCategoryDataset counts = new DefaultCategoryDataset();
        DefaultCategoryDataset sums = new DefaultCategoryDataset();
        for (PlotPointView x :
                p.points().subList(0, Math.min(MOST_ROWS / 2, p.points().size()))) {
            counts.addValue(x.value(), "places", x.name());
            sums.addValue(100 * x.cumulative(), "sum", x.name());
        }
        JFreeChart chart = ChartFactory.createBarChart(null, null, p.unit(), counts);
        CategoryPlot plot = chart.getCategoryPlot();
        BarRenderer bars = (BarRenderer) plot.getRenderer();
        bars.setBarPainter(new StandardBarPainter());
        bars.setShadowVisible(false);
        bars.setSeriesPaint(0, Color.decode(Palette.STEEL));
        bars.setMaximumBarWidth(0.12);
        plot.getDomainAxis().setMaximumCategoryLabelLines(3);
        NumberAxis share = new NumberAxis("down to it, %");
        share.setRange(0, 105);
        plot.setRangeAxis(1, share);
        plot.setDataset(1, sums);
        plot.mapDatasetToRangeAxis(1, 1);
        LineAndShapeRenderer line = new LineAndShapeRenderer();
        line.setSeriesPaint(0, INK);
        line.setSeriesStroke(0, THICK);
        plot.setRenderer(1, line);
        plot.setDatasetRenderingOrder(DatasetRenderingOrder.FORWARD);
        return dressed(chart, plot);
    }

    private static JFreeChart intervals(PlotView p, int rows) {
        XYIntervalSeries series = new XYIntervalSeries("value");
        String[] names = new String[rows];
        for (int i = 0; i < rows; i++) {
            PlotPointView x = p.points().get(i);
            int y = rows - 1 - i;
            names[y] = x.name();
            series.add(x.value(), x.low(), x.high(), y, y, y);
        }
        XYIntervalSeriesCollection data = new XYIntervalSeriesCollection();
        data.addSeries(series);
        XYErrorRenderer renderer = new XYErrorRenderer();
        renderer.setDrawYError(false);
        renderer.setSeriesPaint(0, INK);
        renderer.setSeriesShape(0, new Rectangle2D.Double(-3, -3, 6, 6));
        NumberAxis across = new NumberAxis(p.unit());
        across.setRangeType(org.jfree.data.RangeType.POSITIVE);
        SymbolAxis up = new SymbolAxis(null, names);
        up.setGridBandsVisible(false);
        XYPlot plot = new XYPlot(data, across, up, renderer);
        if (p.middle() != null) {
            plot.addDomainMarker(new ValueMarker(p.middle(), QUIET, DASHED));
        }
        JFreeChart chart = new JFreeChart(null, LETTERS, plot, false);
        return dressed(chart, plot);
    }

    private static JFreeChart steps(PlotView p) {
        XYSeries share = new XYSeries("open");
        XYSeries low = new XYSeries("low");
        XYSeries high = new XYSeries("high");
        share.add(0, 100);
        low.add(0, 100);
        high.add(0, 100);
        for (PlotPointView x : p.points()) {
            share.add(x.expected(), Double.valueOf(x.value()));
            if (x.low() != null) {
                low.add(x.expected(), x.low());
                high.add(x.expected(), x.high());
            }
        }
        JFreeChart chart = ChartFactory.createXYLineChart(null, "days", p.unit(), collected(share, low, high));
        XYPlot plot = chart.getXYPlot();
        XYStepRenderer renderer = new XYStepRenderer();
        line(renderer, 0, INK, THICK);
        line(renderer, 1, QUIET, DASHED);
        line(renderer, 2, QUIET, DASHED);
        plot.setRenderer(renderer);
        plot.getRangeAxis().setRange(0, 105);
        return dressed(chart, plot);
    }

    private static JFreeChart pairs(PlotView p) {
        XYSeries points = new XYSeries("repairs");
        double most = 0;
        for (PlotPointView x : p.points()) {
            points.add(x.expected(), Double.valueOf(x.value()));
            most = Math.max(most, x.expected());
        }
        XYSeries same = through(1, most);
        XYSeries mean = through(p.middle() == null ? 1 : p.middle(), most);
        JFreeChart chart = ChartFactory.createScatterPlot(
                null, "estimated, " + p.unit(), "true, " + p.unit(), collected(points, same, mean));
        XYPlot plot = chart.getXYPlot();
        XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
        renderer.setSeriesLinesVisible(0, false);
        renderer.setSeriesShapesVisible(0, true);
        renderer.setSeriesShape(0, new Ellipse2D.Double(-3, -3, 6, 6));
        line(renderer, 0, INK, THICK);
        line(renderer, 1, QUIET, DASHED);
        line(renderer, 2, INK, THICK);
        plot.setRenderer(renderer);
        return dressed(chart, plot);
    }

    private static XYSeries through(double ratio, double most) {
        XYSeries line = new XYSeries("line of " + ratio, true, true);
        line.add(0, 0);
        line.add(most, Double.valueOf(most * ratio));
        return line;
    }

    private static XYSeriesCollection collected(XYSeries... series) {
        XYSeriesCollection all = new XYSeriesCollection();
        int n = 0;
        for (XYSeries s : series) {
            s.setKey(s.getKey() + " " + n++); // two lines may be the same
            all.addSeries(s);
        }
        return all;
    }

    private static void line(XYLineAndShapeRenderer renderer, int series, Color colour, Stroke stroke) {
        renderer.setSeriesPaint(series, colour);
        renderer.setSeriesStroke(series, stroke);
    }

    private static JFreeChart dressed(JFreeChart chart, Plot plot) {
        if (plot instanceof CategoryPlot c) {
            c.getRangeAxis().setLabelFont(LETTERS);
            c.getRangeAxis().setTickLabelFont(LETTERS);
            c.getRangeAxis().setLabelPaint(QUIET);
            c.getDomainAxis().setTickLabelFont(LETTERS);
            if (c.getRangeAxis(1) != null) {
                c.getRangeAxis(1).setLabelFont(LETTERS);
                c.getRangeAxis(1).setTickLabelFont(LETTERS);
            }
            c.setRangeGridlinePaint(GRID);
        } else if (plot instanceof XYPlot x) {
            List.of(x.getDomainAxis(), x.getRangeAxis()).forEach(a -> {
                a.setLabelFont(LETTERS);
                a.setTickLabelFont(LETTERS);
                a.setLabelPaint(QUIET);
            });
            x.setRangeGridlinePaint(GRID);
            x.setDomainGridlinePaint(GRID);
        }
        plot.setBackgroundPaint(Color.WHITE);
        plot.setOutlinePaint(GRID);
        chart.setBackgroundPaint(Color.WHITE);
        chart.removeLegend();
        return chart;
    }

    private static String drawn(JFreeChart chart, int high) {
        Document document = SVGDOMImplementation.getDOMImplementation()
                .createDocument(SVGDOMImplementation.SVG_NAMESPACE_URI, "svg", null);
        SVGGraphics2D graphics = new SVGGraphics2D(SVGGeneratorContext.createDefault(document), true);
        chart.draw(graphics, new Rectangle2D.Double(0, 0, WIDE, high));
        graphics.setSVGCanvasSize(new java.awt.Dimension(WIDE, high));
        try (StringWriter out = new StringWriter()) {
            graphics.stream(out, false);
            String svg = out.toString();
            return svg.substring(svg.indexOf("<svg"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
