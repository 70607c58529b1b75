package app.kemdro.web;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import javax.imageio.ImageIO;

/** Pictures as cameras and other people send them. */
public final class TestPictures {
    private TestPictures() {}

    public static byte[] png(int width, int height) {
        return image(width, height, "png");
    }

    private static byte[] image(int width, int height, String format) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < width / 2; x++) {
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, 0xffffff);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** A JPEG, white on its left half, held sideways (orientation 6), with a position and a camera's name written into it. */
    public static byte[] fromACamera(int width, int height) {
        byte[] plain = image(width, height, "jpg");
        byte[] camera = "Camera of Quill\0".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer tiff = ByteBuffer.allocate(160);
        tiff.put(new byte[] {'M', 'M', 0, 42}).putInt(8);
        tiff.putShort((short) 3);
        tiff.putShort((short) 0x010F).putShort((short) 2).putInt(camera.length).putInt(60);
        tiff.putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) 6)
                .putShort((short) 0);
        tiff.putShort((short) 0x8825).putShort((short) 4).putInt(1).putInt(90);
        tiff.putInt(0);
        tiff.position(60).put(camera);
        // a GPS directory with the reference of a latitude
        tiff.position(90).putShort((short) 1);
        tiff.putShort((short) 1).putShort((short) 2).putInt(2).put(new byte[] {'N', 0, 0, 0});
        tiff.putInt(0);
        byte[] directory = tiff.array();
        ByteBuffer out = ByteBuffer.allocate(plain.length + directory.length + 10);
        out.put(plain, 0, 2);
        out.put(new byte[] {(byte) 0xff, (byte) 0xe1}).putShort((short) (directory.length + 8));
        out.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).put(directory);
        out.put(plain, 2, plain.length - 2);
        return out.array();
    }

    /** A PNG of a few hundred bytes that says that it is 30000 by 30000. */
    public static byte[] bomb() {
        ByteBuffer header = ByteBuffer.allocate(13);
        header.putInt(30_000).putInt(30_000).put(new byte[] {8, 2, 0, 0, 0});
        Deflater deflater = new Deflater(9);
        deflater.setInput(new byte[100_000]);
        deflater.finish();
        byte[] squeezed = new byte[1000];
        int length = deflater.deflate(squeezed);
        deflater.end();
        ByteBuffer out = ByteBuffer.allocate(4000);
        out.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        chunk(out, "IHDR", header.array(), 13);
        chunk(out, "IDAT", squeezed, length);
        chunk(out, "IEND", new byte[0], 0);
        byte[] bytes = new byte[out.position()];
        out.flip().get(bytes);
        return bytes;
    }

    private static void chunk(ByteBuffer out, String name, byte[] data, int length) {
        CRC32 check = new CRC32();
        byte[] type = name.getBytes(StandardCharsets.US_ASCII);
        check.update(type);
        check.update(data, 0, length);
        out.putInt(length).put(type).put(data, 0, length).putInt((int) check.getValue());
    }
}
