package parable.app.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import parable.check.Finding;
import parable.check.Severity;
import parable.circuit.Conventions;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.starters.Library;

class KnownFindingsTest {

    private static final Conventions IEC = Conventions.of(Practice.IEC);

    private final Sheet sheet = Library.jobs().get(0).sheets().get(0);
    private final KnownFindings known = new KnownFindings();

    private static KnownFindings.Known found(String words) {
        Finding finding = new Finding("lamp", Severity.NOTE, List.of("P1"), words, "");
        return new KnownFindings.Known(List.of(finding), List.of(finding), Map.of());
    }

    private KnownFindings.Asked named(String name) {
        return new KnownFindings.Asked(sheet.named(name), IEC);
    }

    @Test
    void theSameSheetIsKnownAndAnotherIsNot() {
        known.keep(named("Pump"), found("dark"));

        assertThat(known.of(named("Pump"))).contains(found("dark"));
        assertThat(known.of(named("Fan"))).isEmpty();
        assertThat(known.of(new KnownFindings.Asked(sheet.named("Pump"), Conventions.of(Practice.NORTH_AMERICAN))))
                .as("other colours")
                .isEmpty();
    }

    @Test
    void whatWasAskedForLeastLatelyIsLetGo() {
        known.keep(named("first"), found("first"));
        known.keep(named("second"), found("second"));
        for (int other = 0; other < 22; other++) {
            known.keep(named("other " + other), found("other"));
        }
        assertThat(known.of(named("first"))).isPresent();

        known.keep(named("one more"), found("one more"));

        assertThat(known.of(named("first"))).contains(found("first"));
        assertThat(known.of(named("second"))).isEmpty();
    }
}
