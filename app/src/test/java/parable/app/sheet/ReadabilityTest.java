package parable.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.draw.Drawing;

/** A drawing opens as large as it can be read, and what is drawn on it never makes it jump larger. */
class ReadabilityTest {

    private final Readability readability = new Readability();

    private static Drawing drawing(double width, double height) {
        return new Drawing(width, height, List.of());
    }

    @Test
    void itFitsWhereItCanBeReadAndIsReadWhereItCannotFit() {
        assertThat(readability.at(drawing(1000, 500), 1200, 900)).isEqualTo(1.2);
        assertThat(new Readability().at(drawing(100, 50), 1200, 900))
                .as("no larger")
                .isEqualTo(1.4);
        assertThat(new Readability().at(drawing(5000, 50), 1200, 900))
                .as("no smaller")
                .isEqualTo(1);
        assertThat(readability.whole(drawing(5000, 50), 1200, 900))
                .as("all of it")
                .isEqualTo(0.24);
    }

    @Test
    void whatIsDrawnMakesItSmallerIfItMustAndNeverLargerAgain() {
        assertThat(readability.at(drawing(1000, 500), 1200, 900)).isEqualTo(1.2);
        assertThat(readability.at(drawing(1100, 500), 1210, 900))
                .as("another size of view")
                .isEqualTo(1.1);
        assertThat(readability.at(drawing(1210, 500), 1210, 900)).isEqualTo(1);
        assertThat(readability.at(drawing(1000, 500), 1210, 900))
                .as("after undoing")
                .isEqualTo(1);
        assertThat(readability.at(drawing(1000, 500), 1300, 900)).isEqualTo(1.3);
    }
}
