package mensor.server.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import mensor.server.weldmap.WeldMaps;
import org.springframework.stereotype.Component;

/** The made-up footbridge in elevation, drawn, with all its welds pinned to their places. */
@Component
class DemoMap {
    private static final String JOB = "Lock footbridge";
    private static final int WIDE = 2400;
    private static final int HIGH = 1400;
    private static final Color STEEL = new Color(0x5b6873);
    private static final Color WATER = new Color(0xd6e4ea);

    /** Where the welds of a lot are: shares of the sheet, from corner to corner, and how many stand in a row. */
    private record Place(double x0, double y0, double x1, double y1, int across) {}

    private static final Map<String, Place> PLACES = Map.of(
            "Stair tower 1", new Place(0.045, 0.16, 0.185, 0.80, 4),
            "Bridge deck", new Place(0.24, 0.325, 0.76, 0.325, 15),
            "Clip angles", new Place(0.235, 0.405, 0.765, 0.475, 20),
            "Canal landing", new Place(0.25, 0.83, 0.45, 0.83, 10),
            "Stair tower 2", new Place(0.83, 0.2, 0.94, 0.76, 2),
            "Lock gate", new Place(0.58, 0.62, 0.58, 0.76, 1),
            "Scanned", new Place(0.32, 0.56, 0.42, 0.56, 3));

    private final WeldMaps maps;
    private final Jobs jobs;
    private final Joints joints;

    DemoMap(WeldMaps maps, Jobs jobs, Joints joints) {
        this.maps = maps;
        this.jobs = jobs;
        this.joints = joints;
    }

    void load(Actor engineer) {
        UUID job = jobs.names().entrySet().stream()
                .filter(e -> e.getValue().equals(JOB))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
        UUID sheet = UUID.randomUUID();
        maps.add(engineer, job, sheet, new WeldMaps.SheetForm("E-101 elevation", "2", null), List.of(drawing()));
        Map<String, List<UUID>> byLot = new LinkedHashMap<>();
        for (StoredJoint j : joints.ofJob(job)) {
            byLot.computeIfAbsent(j.lot(), l -> new ArrayList<>()).add(j.id());
        }
        byLot.forEach((lot, welds) -> {
            Place p = PLACES.get(lot);
            int down = p == null ? 0 : (welds.size() + p.across() - 1) / p.across();
            for (int i = 0; p != null && i < welds.size(); i++) {
                maps.pin(
                        engineer,
                        job,
                        sheet,
                        welds.get(i),
                        between(p.x0(), p.x1(), i % p.across(), p.across()),
                        between(p.y0(), p.y1(), i / p.across(), down));
            }
        });
    }

    private static double between(double from, double to, int n, int of) {
        return of < 2 ? from : from + (to - from) * n / (of - 1);
    }

    private static PictureFile drawing() {
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        try {
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            g.setColor(Color.WHITE);
            g.fillRect(0, 0, WIDE, HIGH);
            g.setColor(WATER);
            g.fill(new Rectangle2D.Double(at(0.48), up(0.72), at(0.28), up(0.16)));
            g.setColor(STEEL);
            g.setStroke(new BasicStroke(3));
            tower(g, 0.03, 0.20);
            tower(g, 0.80, 0.97);
            deck(g);
            line(g, 0.02, 0.88, 0.98, 0.88);
            line(g, 0.24, 0.85, 0.46, 0.85);
            g.draw(new Rectangle2D.Double(at(0.55), up(0.58), at(0.06), up(0.28)));
            line(g, 0.55, 0.86, 0.61, 0.58);
            titleBlock(g);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "png", out);
            return PictureFile.of(out.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            g.dispose();
        }
    }

    private static double at(double x) {
        return x * WIDE;
    }

    private static double up(double y) {
        return y * HIGH;
    }

    private static void line(Graphics2D g, double x0, double y0, double x1, double y1) {
        g.draw(new Line2D.Double(at(x0), up(y0), at(x1), up(y1)));
    }

    /** Posts, landings and flights that go to and fro. */
    private static void tower(Graphics2D g, double left, double right) {
        line(g, left, 0.12, left, 0.88);
        line(g, right, 0.12, right, 0.88);
        int landings = 5;
        for (int i = 0; i <= landings; i++) {
            double y = 0.12 + 0.76 * i / landings;
            line(g, left, y, right, y);
            if (i < landings) {
                boolean rises = i % 2 == 0;
                line(g, rises ? left : right, y + 0.76 / landings, rises ? right : left, y);
            }
        }
    }

    /** Two chords with posts and diagonals, and the floor beams under them. */
    private static void deck(Graphics2D g) {
        line(g, 0.20, 0.28, 0.80, 0.28);
        line(g, 0.20, 0.37, 0.80, 0.37);
        line(g, 0.20, 0.385, 0.80, 0.385);
        int bays = 16;
        for (int i = 0; i < bays; i++) {
            double x = 0.20 + 0.60 * i / bays;
            line(g, x, 0.28, x, 0.37);
            line(g, x, i % 2 == 0 ? 0.37 : 0.28, x + 0.60 / bays, i % 2 == 0 ? 0.28 : 0.37);
            g.draw(new Rectangle2D.Double(at(x + 0.012), up(0.385), at(0.014), up(0.11)));
        }
    }

    private static void titleBlock(Graphics2D g) {
        g.draw(new Rectangle2D.Double(at(0.72), up(0.905), at(0.26), up(0.075)));
        g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 30));
        g.drawString("LOCK FOOTBRIDGE, ELEVATION", (int) at(0.73), (int) up(0.937));
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 24));
        g.drawString("E-101  rev 2   made up, not to scale", (int) at(0.73), (int) up(0.967));
        g.drawString("STAIR TOWER 1", (int) at(0.07), (int) up(0.10));
        g.drawString("STAIR TOWER 2", (int) at(0.84), (int) up(0.10));
        g.drawString("BRIDGE DECK", (int) at(0.46), (int) up(0.26));
        g.drawString("CANAL LANDING", (int) at(0.28), (int) up(0.80));
        g.drawString("LOCK GATE", (int) at(0.62), (int) up(0.66));
        g.drawString("CLIP ANGLES", (int) at(0.46), (int) up(0.53));
    }
}
