package app.kemdro.web.parts.disk;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.parts.disk.Space.Keeps;
import org.junit.jupiter.api.Test;

class SpaceTest {
    @Test
    void whatIsStillKeptGoesDownStepByStep() {
        assertThat(new Space(500_000_000, true).keeps()).isEqualTo(Keeps.ALL);
        assertThat(new Space(499_999_999, true).keeps()).isEqualTo(Keeps.ALL_BUT_SAYS_SO);
        assertThat(new Space(64_000_000, true).keeps()).isEqualTo(Keeps.ALL_BUT_SAYS_SO);
        assertThat(new Space(63_999_999, true).keeps()).isEqualTo(Keeps.PRESSES);
        assertThat(new Space(4_000_000, true).keeps()).isEqualTo(Keeps.PRESSES);
        assertThat(new Space(3_999_999, true).keeps()).isEqualTo(Keeps.NOTHING);
        assertThat(new Space(900_000_000_000L, false).keeps()).isEqualTo(Keeps.NOTHING);
    }

    @Test
    void itSaysSoInASentenceBeforeAndWhenItHappens() {
        assertThat(new Space(500_000_000, true).says()).isEmpty();
        assertThat(new Space(412_345_678, true).says())
                .isEqualTo("Only 412 MB are left on the disk. Make room before it is full.");
        assertThat(new Space(63_000_000, true).says()).startsWith("The disk is nearly full (63 MB left)");
        assertThat(new Space(0, true).says()).startsWith("The disk is full");
        assertThat(new Space(900_000_000_000L, false).says()).startsWith("The disk is write-protected");
    }

    @Test
    void sizesAreReadAsPeopleReadThem() {
        assertThat(Space.size(0)).isEqualTo("0 kB");
        assertThat(Space.size(12_400)).isEqualTo("12 kB");
        assertThat(Space.size(3_200_000)).isEqualTo("3 MB");
        assertThat(Space.size(9_999_000_000L)).isEqualTo("9999 MB");
        assertThat(Space.size(120_400_000_000L)).isEqualTo("120 GB");
    }
}
