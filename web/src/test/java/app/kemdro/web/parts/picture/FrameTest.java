package app.kemdro.web.parts.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class FrameTest {
    /** Worked by hand: the right half of a picture, and of that the lower quarter of its height. */
    @Test
    void aFrameInsideAFrameIsAFrameOfTheWhole() {
        Frame right = new Frame(0.5, 0, 0.5, 1);
        assertThat(right.inside(new Frame(0.2, 0.75, 0.4, 0.25))).isEqualTo(new Frame(0.6, 0.75, 0.2, 0.25));
    }

    @Test
    void placesGoThereAndBack() {
        Frame frame = new Frame(0.2, 0.1, 0.4, 0.5);
        assertThat(frame.x(0.5)).isEqualTo(0.4, within(1e-12));
        assertThat(frame.y(0.5)).isEqualTo(0.35, within(1e-12));
        assertThat(frame.shownX(frame.x(0.3))).isEqualTo(0.3, within(1e-12));
        assertThat(frame.shownY(0.6)).isEqualTo(1, within(1e-12));
        assertThat(frame.shownX(0.1)).isNegative();
    }

    @Test
    void cornersMayComeInAnyOrder() {
        assertThat(Frame.between(0.9, 0.2, 0.4, 0.8)).isEqualTo(Frame.between(0.4, 0.8, 0.9, 0.2));
    }

    @Test
    void whatShowsNextToNothingOrLiesOutsideIsNoFrame() {
        assertThatThrownBy(() -> Frame.between(0.5, 0.5, 0.52, 0.9)).hasMessageContaining("at least a twentieth");
        assertThatThrownBy(() -> new Frame(0.6, 0, 0.5, 1)).hasMessageContaining("inside the picture");
        assertThatThrownBy(() -> new Frame(0, 0, Double.NaN, 1)).isInstanceOf(IllegalArgumentException.class);
    }
}
