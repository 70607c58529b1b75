package app.kemdro.web.parts.picture;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.IntStream;

/** Takes one picture in from many sides at once, as a process of its own whose memory holds only one of them unfolded. */
final class ManyPictures {
    private static final int SIDES = 6;

    private ManyPictures() {}

    public static void main(String[] arguments) throws Exception {
        byte[] sent = Files.readAllBytes(Path.of(arguments[0]));
        Thread[] sides = IntStream.range(0, SIDES)
                .mapToObj(k -> new Thread(() -> System.out.println("kept " + (PictureFile.kept(sent).length > 0))))
                .toArray(Thread[]::new);
        for (Thread side : sides) {
            side.start();
        }
        for (Thread side : sides) {
            side.join();
        }
    }
}
