package app.kemdro.web.parts.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.web.OwnProcess;
import app.kemdro.web.TestPictures;
import app.kemdro.web.parts.mishap.NotPossible;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PictureFileTest {
    private static BufferedImage kept(byte[] sent) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(PictureFile.kept(sent)));
    }

    private static String text(byte[] bytes) {
        return new String(bytes, StandardCharsets.ISO_8859_1);
    }

    @Test
    void whatACameraWroteIntoItIsGoneAndItStandsUpright() throws IOException {
        byte[] sent = TestPictures.fromACamera(400, 300);
        assertThat(text(sent)).contains("Exif", "Camera of Quill");
        byte[] kept = PictureFile.kept(sent);
        assertThat(text(kept)).doesNotContain("Exif").doesNotContain("Quill");
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(kept));
        assertThat(image.getWidth()).isEqualTo(300);
        assertThat(image.getHeight()).isEqualTo(400);
        // turned clockwise, what was on the left is on top
        assertThat(image.getRGB(150, 20) & 0xff).isGreaterThan(200);
        assertThat(image.getRGB(150, 380) & 0xff).isLessThan(60);
    }

    @Test
    void aLargePictureIsMadeSmallerAndASmallOneStays() throws IOException {
        BufferedImage large = kept(TestPictures.png(4000, 1000));
        assertThat(large.getWidth()).isEqualTo(PictureFile.SIDE);
        assertThat(large.getHeight()).isEqualTo(400);
        assertThat(kept(TestPictures.png(64, 32)).getWidth()).isEqualTo(64);
    }

    @Test
    void whatWouldUnfoldToGigabytesIsNotOpened() {
        byte[] bomb = TestPictures.bomb();
        assertThat(bomb.length).isLessThan(2000);
        assertThatThrownBy(() -> PictureFile.kept(bomb))
                .isInstanceOf(NotPossible.class)
                .hasMessageContaining("900 million pixels");
    }

    /** Six at once, 12 million pixels each, in a memory that does not hold three of them unfolded: one after another is taken in. */
    @Test
    void picturesSentAtOnceAreUnfoldedOneAtATime(@TempDir Path folder) throws Exception {
        Path sent = folder.resolve("sent.png");
        ImageIO.write(new BufferedImage(4000, 3000, BufferedImage.TYPE_3BYTE_BGR), "png", sent.toFile());
        OwnProcess.Said said = OwnProcess.run(ManyPictures.class, "-Xmx200m", sent);
        assertThat(said.code()).isZero();
        assertThat(said.lines()).hasSize(6).containsOnly("kept true");
    }

    @Test
    void otherFilesAreNotTakenWhateverTheyAreCalled() {
        for (String other : new String[] {"<script>alert(1)</script>", "GIF89a", "%PDF-1.7", ""}) {
            assertThatThrownBy(() -> PictureFile.kept(other.getBytes(StandardCharsets.US_ASCII)))
                    .isInstanceOf(NotPossible.class)
                    .hasMessageContaining("Only JPEG and PNG");
        }
    }

    /** Thousands of damaged pictures: each is kept or refused in words, none ends in anything else. */
    @Test
    void damagedPicturesAreKeptOrRefused() {
        SplittableRandom random = new SplittableRandom(11);
        byte[][] whole = {TestPictures.fromACamera(60, 40), TestPictures.png(60, 40)};
        int refused = 0;
        for (int k = 0; k < 3000; k++) {
            byte[] damaged = whole[k % 2].clone();
            for (int n = random.nextInt(1, 9); n > 0; n--) {
                damaged[random.nextInt(damaged.length)] = (byte) random.nextInt();
            }
            if (random.nextInt(4) == 0) {
                damaged = Arrays.copyOf(damaged, random.nextInt(damaged.length));
            }
            try {
                assertThat(PictureFile.kept(damaged)).isNotEmpty();
            } catch (NotPossible refusal) {
                refused++;
            }
        }
        assertThat(refused).isBetween(500, 2900);
    }

    /** White on its left half, black on its right one: drawn by the test itself. */
    @Test
    void aFrameKeepsWhatLiesInsideItAndAPlaceHasItsColour() throws IOException {
        byte[] kept = PictureFile.kept(TestPictures.png(400, 200));
        byte[] right = PictureFile.cropped(kept, new Frame(0.75, 0.5, 0.25, 0.25));
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(right));
        assertThat(image.getWidth()).isEqualTo(100);
        assertThat(image.getHeight()).isEqualTo(50);
        assertThat(image.getRGB(50, 25) & 0xff).isLessThan(20);

        assertThat(PictureFile.colourAt(kept, 0.25, 0.5).hex()).isEqualTo("#ffffff");
        assertThat(PictureFile.colourAt(kept, 1, 1).hex()).isEqualTo("#000000");
        // half white, half black: the middle of both as eyes see them, L 50, which is #777777
        assertThat(PictureFile.colourAt(kept, 0.4987, 0.5).lab().l()).isBetween(40.0, 60.0);
    }
}
