package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every room on a laptop, a tablet, a phone and a large screen: nothing scrolls sideways, is cut or lies over another, and nothing keeps anybody out. */
class SizesIT extends OnePage {
    private static final int[][] SIZES = {{1280, 800}, {1024, 768}, {390, 844}, {1920, 1080}};

    private static final List<String> ROOMS = List.of(
            "/shelf",
            "/jobs/new",
            "/jobs/2/brief",
            "/jobs/2/look",
            "/jobs/2/look?zones=cheek-left",
            "/jobs/2/look?zones=cheek-left,nose&show=risk",
            "/jobs/2/colour?mix=1:3,2:1&aim=%23a05c30",
            "/jobs/2/pictures",
            "/jobs/2/order",
            "/jobs/2/order/list",
            "/jobs/2/bench",
            "/jobs/2/kit?days=60",
            "/jobs/2/kit/mixes",
            "/jobs/2/kit/bag",
            "/jobs/2/safety",
            "/jobs/2/chair",
            "/jobs/2/strike",
            "/jobs/2/floor",
            "/jobs/3/book",
            "/jobs/1/book",
            "/jobs/1/chair/review",
            "/people",
            "/people/1",
            "/house",
            "/house/paints",
            "/house/materials",
            "/house/card",
            "/house/schools",
            "/house/usual",
            "/house/words",
            "/house/units",
            "/house/room",
            "/house/products/new",
            "/book?find=edge");

    @Test
    void everyRoomFitsEveryScreen() throws IOException {
        String collisions = Files.readString(Path.of("src/test/resources/collisions.js"));
        signIn("ines");
        List<String> wrong = new ArrayList<>();
        for (int[] size : SIZES) {
            page.setViewportSize(size[0], size[1]);
            for (String room : ROOMS) {
                go(room);
                page.evaluate("() => document.fonts.ready");
                Object found = page.evaluate(collisions);
                ((List<?>) found).forEach(f -> wrong.add(size[0] + " " + room + ": " + f));
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** Moderate findings count too, and what is good practice without being a rule. */
    @Test
    void nothingKeepsAnybodyOut() {
        signIn("ines");
        List<String> found = ROOMS.stream()
                .flatMap(room -> {
                    go(room);
                    return new AxeBuilder(page)
                            .analyze().getViolations().stream()
                                    .filter(v -> !"minor".equals(v.getImpact()))
                                    .flatMap(v -> Stream.of(room + " " + v.getId() + " "
                                            + v.getNodes().get(0).getHtml()));
                })
                .toList();
        assertThat(found).isEmpty();
    }
}
