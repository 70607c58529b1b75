package app.kemdro.web.parts.picture;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Srgb;
import app.kemdro.web.parts.mishap.NotPossible;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;

/**
 * A picture as somebody sent it, made into one that may be kept: upright, no larger than a screen shows, and without what a camera
 * writes into it, such as where it was taken.
 */
public final class PictureFile {
    /** Longest side that is kept, pixels. */
    public static final int SIDE = 1600;

    /** A file of a few kilobytes can unfold to gigabytes: what claims to be larger is not opened, pixels. */
    private static final long MOST_PIXELS = 40_000_000;

    private static final double QUALITY = 0.85;

    /** A colour is the mean of a square of this part of the longer side. */
    private static final int GRAIN = 100;

    private PictureFile() {}

    /**
     * The picture as JPEG. One at a time is unfolded, since each may take up to 160 MB of memory meanwhile.
     *
     * @throws NotPossible where it is no picture, cannot be read, or is too large to be opened
     */
    public static synchronized byte[] kept(byte[] sent) {
        try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null || !isTaken(reader)) {
                throw new NotPossible("Only JPEG and PNG pictures are taken.");
            }
            try {
                reader.setInput(stream);
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                if (pixels > MOST_PIXELS) {
                    throw new NotPossible("The picture has " + pixels / 1_000_000 + " million pixels; up to "
                            + MOST_PIXELS / 1_000_000 + " million are taken. Make it smaller first.");
                }
                int side = Math.min(SIDE, Math.max(reader.getWidth(0), reader.getHeight(0)));
                return made(sent, side);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            if (e instanceof NotPossible refusal) {
                throw refusal;
            }
            throw new NotPossible("The picture cannot be read; it may be cut off. Send it again.");
        }
    }

    /** What lies inside a frame of a picture that is kept, as a picture of its own. */
    public static byte[] cropped(byte[] kept, Frame frame) {
        try {
            Size all = size(kept);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            Thumbnails.of(new ByteArrayInputStream(kept))
                    .sourceRegion(
                            (int) Math.round(frame.fromLeft() * all.width()),
                            (int) Math.round(frame.fromTop() * all.height()),
                            Math.max(1, (int) Math.round(frame.wide() * all.width())),
                            Math.max(1, (int) Math.round(frame.high() * all.height())))
                    .scale(1)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Width and height, pixels. */
    public record Size(int width, int height) {}

    /** How large a picture that is kept is. */
    public static Size size(byte[] kept) {
        BufferedImage image = read(kept);
        return new Size(image.getWidth(), image.getHeight());
    }

    /**
     * The colour at a place of a picture that is kept: the mean of a small square around it, since one pixel alone is grain.
     *
     * @param x from the left, 0 to 1
     * @param y from the top, 0 to 1
     */
    public static Srgb colourAt(byte[] kept, double x, double y) {
        BufferedImage image = read(kept);
        int reach = Math.max(1, Math.max(image.getWidth(), image.getHeight()) / GRAIN / 2);
        int left = (int) Math.round(x * (image.getWidth() - 1));
        int top = (int) Math.round(y * (image.getHeight() - 1));
        double l = 0;
        double a = 0;
        double b = 0;
        int count = 0;
        for (int i = Math.max(0, left - reach); i <= Math.min(image.getWidth() - 1, left + reach); i++) {
            for (int j = Math.max(0, top - reach); j <= Math.min(image.getHeight() - 1, top + reach); j++) {
                Lab lab = Srgb.of(image.getRGB(i, j)).lab();
                l += lab.l();
                a += lab.a();
                b += lab.b();
                count++;
            }
        }
        return Srgb.of(new Lab(l / count, a / count, b / count));
    }

    private static BufferedImage read(byte[] kept) {
        try {
            return ImageIO.read(new ByteArrayInputStream(kept));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean isTaken(ImageReader reader) throws IOException {
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        return format.equals("jpeg") || format.equals("png");
    }

    private static byte[] made(byte[] sent, int side) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(new ByteArrayInputStream(sent))
                .size(side, side)
                .imageType(BufferedImage.TYPE_INT_RGB)
                .outputFormat("jpg")
                .outputQuality(QUALITY)
                .toOutputStream(out);
        return out.toByteArray();
    }
}
