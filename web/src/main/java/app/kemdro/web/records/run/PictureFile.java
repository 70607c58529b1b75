package app.kemdro.web.records.run;

import app.kemdro.web.parts.mishap.NotPossible;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
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
final class PictureFile {
    /** Longest side that is kept, pixels. */
    static final int SIDE = 1600;

    /** A file of a few kilobytes can unfold to gigabytes: what claims to be larger is not opened, pixels. */
    private static final long MOST_PIXELS = 40_000_000;

    private static final double QUALITY = 0.85;

    private PictureFile() {}

    /**
     * The picture as JPEG.
     *
     * @throws NotPossible where it is no picture, cannot be read, or is too large to be opened
     */
    static byte[] kept(byte[] sent) {
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

    private static boolean isTaken(ImageReader reader) throws IOException {
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        return format.equals("jpeg") || format.equals("png");
    }

    private static byte[] made(byte[] sent, int side) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(new ByteArrayInputStream(sent))
                .size(side, side)
                .imageType(java.awt.image.BufferedImage.TYPE_INT_RGB)
                .outputFormat("jpg")
                .outputQuality(QUALITY)
                .toOutputStream(out);
        return out.toByteArray();
    }
}
