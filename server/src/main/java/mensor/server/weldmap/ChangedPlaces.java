package mensor.server.weldmap;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import mensor.server.photo.PictureFile;

/**
 * Where a revision of a drawing differs from the one before: both are made as coarse as a hand's width on a sheet tells, and
 * compared place by place. It asks rather too often than too seldom: a hair line that is new is a change.
 */
final class ChangedPlaces {
    /** Cells along the longer side. */
    private static final int CELLS = 160;

    /** Cells around a pin that belong to its place. */
    private static final int AROUND = 5;

    /** Of 255: the mean of a cell that is darker or lighter by this much changed. */
    private static final int DIFFERS = 10;

    private final int[][] before;
    private final int[][] now;
    private final int across;
    private final int down;

    ChangedPlaces(PictureFile before, PictureFile now) {
        double scale = (double) CELLS / Math.max(now.width(), now.height());
        this.across = Math.max(1, (int) Math.round(now.width() * scale));
        this.down = Math.max(1, (int) Math.round(now.height() * scale));
        this.before = cells(before);
        this.now = cells(now);
    }

    /** @param x share of the width, {@code y} of the height */
    boolean isNear(double x, double y) {
        int cx = (int) (x * across);
        int cy = (int) (y * down);
        for (int i = Math.max(0, cx - AROUND); i <= Math.min(across - 1, cx + AROUND); i++) {
            for (int j = Math.max(0, cy - AROUND); j <= Math.min(down - 1, cy + AROUND); j++) {
                if (Math.abs(before[i][j] - now[i][j]) > DIFFERS) {
                    return true;
                }
            }
        }
        return false;
    }

    private int[][] cells(PictureFile picture) {
        BufferedImage grey = new BufferedImage(across, down, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = grey.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.drawImage(halved(read(picture)), 0, 0, across, down, null);
        g.dispose();
        int[][] cells = new int[across][down];
        for (int i = 0; i < across; i++) {
            for (int j = 0; j < down; j++) {
                cells[i][j] = grey.getRaster().getSample(i, j, 0);
            }
        }
        return cells;
    }

    /** By halves, so that each cell is the mean of all its points and not of a few. */
    private BufferedImage halved(BufferedImage image) {
        BufferedImage now = image;
        while (now.getWidth() > 2 * across && now.getHeight() > 2 * down) {
            BufferedImage half =
                    new BufferedImage(now.getWidth() / 2, now.getHeight() / 2, BufferedImage.TYPE_BYTE_GRAY);
            Graphics2D g = half.createGraphics();
            g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
            g.drawImage(now, 0, 0, half.getWidth(), half.getHeight(), null);
            g.dispose();
            now = half;
        }
        return now;
    }

    private static BufferedImage read(PictureFile picture) {
        try {
            return ImageIO.read(new ByteArrayInputStream(picture.bytes()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
