package app.kemdro.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class FoundByTest {
    private static final Trade TRADE = Trade.standard();
    private static final FoundBy FOUND = FoundBy.standard(TRADE);

    private static List<String> families(String typed) {
        return FOUND.find(typed).stream().map(Technique::family).distinct().toList();
    }

    @Test
    void whatIsSeenOnAPictureFindsWhatMakesIt() {
        // the likeliest comes first
        assertThat(FOUND.find("barnacles").get(0).id()).isEqualTo("texture-patches");
        assertThat(families("barnacle")).contains("Foam latex piece").doesNotContain("Teeth");
        assertThat(families("fang")).startsWith("Teeth");
        assertThat(families("goblin")).containsExactly("False ears");
        // of one family some are found, of the other all
        assertThat(families("invisible")).containsExactly("Base colour");
    }

    @Test
    void whatIsTypedMayBeginAWordAndSeveralNarrowItDown() {
        assertThat(FOUND.find("barn").get(0).id()).isEqualTo("texture-patches");
        assertThat(families("bald sil")).containsExactly("Bald cap");
        assertThat(FOUND.find("bald sil")).extracting(Technique::id).containsExactly("cap-silicone");
        assertThat(FOUND.find(" ?! ")).isEmpty();
        assertThat(FOUND.find("zzz")).isEmpty();
    }

    /** Whatever the list beside the figure filters by is what this finds. */
    @Test
    void theWordsOfATechniqueAreThoseItIsFoundBy() {
        for (Technique t : TRADE.techniques()) {
            for (String word : FOUND.of(t).split(" ")) {
                assertThat(FOUND.find(word)).as(word).contains(t);
            }
        }
    }
}
