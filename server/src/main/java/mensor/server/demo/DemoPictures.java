package mensor.server.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import mensor.server.photo.PictureFile;

/** Drawn pictures of practice beads: the better the score, the evener the ripples; each fault that was counted is there to be seen. */
final class DemoPictures {
    private static final int WIDE = 560;
    private static final int HIGH = 280;
    private static final int LEFT = 30;
    private static final Color BEAD = new Color(0x8d9299);

    private DemoPictures() {}

    /**
     * @param evenness 0 to 1
     * @param beads side by side
     */
    static PictureFile of(long seed, int beads, double evenness, Map<String, Integer> faults) {
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        try {
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            Random random = new Random(seed);
            plate(g, random);
            double pitch = Math.min(46, 190.0 / beads);
            for (int b = 0; b < beads; b++) {
                double y = HIGH / 2.0 + (b - (beads - 1) / 2.0) * pitch;
                bead(g, random, y, beads == 1 ? 40 : pitch * 1.35, evenness, b == beads - 1 ? faults : Map.of());
            }
            spatter(g, random, faults.getOrDefault("spatter", 0) * 14);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "png", out);
            return PictureFile.of(out.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            g.dispose();
        }
    }

    /** A fillet seen askew, a card of 80 by 50 mm beside it in its plane; a pore of 2.4 mm, ripples 2 mm apart. */
    static PictureFile withCard(double lean) {
        BufferedImage image = new BufferedImage(1280, 860, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        try {
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            g.scale(1280.0 / WIDE, 860.0 / HIGH);
            plate(g, new Random(7));
            g.setTransform(new AffineTransform());
            g.setColor(new Color(0x71787f));
            g.fill(area(lean, 5, 8, 115, 8, 115, 17, 5, 17));
            g.setStroke(new BasicStroke(2f));
            for (double x = 6; x < 115; x += 2) {
                g.setColor(new Color(0xa3aab1));
                g.draw(round(lean, x, 12.5, 4.4, Math.PI * 0.62, Math.PI * 1.38));
            }
            g.setColor(new Color(0x15181b));
            g.fill(round(lean, 40, 12.5, 1.2, 0, 2 * Math.PI));
            g.setColor(Color.BLACK);
            g.fill(area(lean, 20, 27, 100, 27, 100, 77, 20, 77));
            g.setColor(new Color(0xf2f2ee));
            g.fill(area(lean, 24, 31, 96, 31, 96, 73, 24, 73));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "jpeg", out);
            return PictureFile.of(out.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            g.dispose();
        }
    }

    /** Places on the plate in mm, through a camera that leans. */
    private static Path2D area(double lean, double... xy) {
        Path2D path = new Path2D.Double();
        for (int i = 0; i < xy.length; i += 2) {
            double far = 1 + lean * xy[i + 1];
            double x = 640 + 10.4 * (xy[i] - 60) / far;
            double y = 60 + 11.5 * xy[i + 1] / far;
            if (i == 0) {
                path.moveTo(x, y);
            } else {
                path.lineTo(x, y);
            }
        }
        return path;
    }

    private static Path2D round(double lean, double x, double y, double radius, double from, double to) {
        double[] xy = new double[66];
        for (int i = 0; i < 33; i++) {
            double turn = from + (to - from) * i / 32;
            xy[2 * i] = x - radius * Math.cos(turn);
            xy[2 * i + 1] = y + radius * Math.sin(turn);
        }
        return area(lean, xy);
    }

    private static void plate(Graphics2D g, Random random) {
        g.setPaint(new GradientPaint(0, 0, new Color(0x4e555c), WIDE, HIGH, new Color(0x6b737b)));
        g.fillRect(0, 0, WIDE, HIGH);
        for (int i = 0; i < 260; i++) { // mill scale
            g.setColor(new Color(20, 24, 28, 12 + random.nextInt(22)));
            int x = random.nextInt(WIDE);
            g.drawLine(x, random.nextInt(HIGH), x + random.nextInt(50), random.nextInt(HIGH));
        }
    }

    private static void bead(
            Graphics2D g, Random random, double middle, double width, double evenness, Map<String, Integer> faults) {
        double loose = 1 - evenness;
        double y = middle;
        double w = width;
        g.setPaint(new Color(70, 60, 52, 90)); // heat tint
        g.fill(new Ellipse2D.Double(LEFT - 20, middle - width, WIDE - 2 * LEFT + 40, width * 2));
        for (double x = LEFT; x < WIDE - LEFT; ) {
            y += random.nextGaussian() * loose * 1.1 + (middle - y) * 0.06;
            w += random.nextGaussian() * loose * 1.5 + (width - w) * 0.12;
            double step = 5 + random.nextGaussian() * loose * 1.6;
            g.setPaint(new GradientPaint(
                    0, (float) (y - w / 2), BEAD.brighter(), 0, (float) (y + w / 2), new Color(0x4a4f55)));
            g.fill(new Ellipse2D.Double(x - w * 0.45, y - w / 2, w * 0.9, w));
            g.setStroke(new BasicStroke(1.2f));
            g.setColor(new Color(255, 255, 255, 70));
            g.draw(new Arc2D.Double(x - w * 0.45, y - w / 2, w * 0.9, w, -70, 140, Arc2D.OPEN));
            g.setColor(new Color(0, 0, 0, 70));
            g.draw(new Arc2D.Double(x - w * 0.45 - 2, y - w / 2, w * 0.9, w, -70, 140, Arc2D.OPEN));
            x += Math.max(2.5, step);
        }
        flaws(g, random, middle, width, faults);
    }

    private static void flaws(Graphics2D g, Random random, double y, double w, Map<String, Integer> faults) {
        g.setColor(new Color(0x16181b));
        g.setStroke(new BasicStroke(4f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        for (int i = 0; i < faults.getOrDefault("undercut", 0); i++) {
            int x = 50 + random.nextInt(WIDE - 170);
            int edge = (int) (y - w / 2 - 1);
            g.drawLine(x, edge, x + 30 + random.nextInt(40), edge - 1);
        }
        for (int i = 0; i < faults.getOrDefault("porosity", 0); i++) {
            double d = 4 + random.nextInt(4);
            g.fill(new Ellipse2D.Double(
                    50 + random.nextInt(WIDE - 100), y - w / 4 + random.nextDouble() * w / 2, d, d));
        }
        g.setColor(new Color(0x2d2118));
        for (int i = 0; i < faults.getOrDefault("slag", 0); i++) {
            g.fill(new Ellipse2D.Double(50 + random.nextInt(WIDE - 120), y + w / 2 - 6, 26, 7));
        }
        g.setColor(new Color(0xa9adb2));
        for (int i = 0; i < faults.getOrDefault("restart", 0); i++) {
            g.fill(new Ellipse2D.Double(70 + random.nextInt(WIDE - 150), y - w * 0.6, w * 0.7, w * 1.2));
        }
        for (int i = 0; i < faults.getOrDefault("overlap", 0); i++) {
            g.fill(new Ellipse2D.Double(60 + random.nextInt(WIDE - 160), y + w / 2 - 5, 54, 13));
        }
    }

    private static void spatter(Graphics2D g, Random random, int drops) {
        for (int i = 0; i < drops; i++) {
            g.setColor(new Color(0x9aa0a6));
            double d = 2 + random.nextInt(4);
            g.fill(new Ellipse2D.Double(random.nextInt(WIDE), random.nextInt(HIGH), d, d));
        }
    }
}
