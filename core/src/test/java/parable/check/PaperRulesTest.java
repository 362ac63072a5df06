package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.Extras;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;

/** Devices that are drawn and do nothing, and motors that nothing stops. */
class PaperRulesTest {

    private static List<Finding> found(Sheet sheet, String code) {
        return Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                .filter(finding -> finding.code().equals(code))
                .toList();
    }

    private static Sheet with(Sheet sheet, String tag, String kind, Map<String, String> settings, String rung)
            throws Exception {
        Sheet more = new Edit.PutDevice(new Device(tag, "", kind, "", "panel", settings, Extras.NONE)).on(sheet);
        return new Edit.InsertRung(
                        Circuit.CONTROL, more.control().size(), new RungNotation(Set.of("L", "N")).read(rung))
                .on(more);
    }

    @Test
    void aRelayThatChangesNothingIsToldUntilAContactOfItIsUsed() throws Exception {
        Sheet idle = with(
                Examples.ofLibrary("Wash pump"),
                "KA9",
                "control-relay",
                Map.of("coil", "230 V AC", "changeovers", "1"),
                "L KA9[A1-A2] N");
        assertThat(found(idle, "relay-does-nothing")).singleElement().satisfies(finding -> assertThat(finding.where())
                .containsExactly("KA9"));

        Sheet used = with(idle, "P9", "pilot-lamp", Map.of("lamp", "230 V AC"), "L KA9[11-14] @99 P9[X1-X2] N");
        assertThat(found(used, "relay-does-nothing")).isEmpty();
    }

    @Test
    void aPoleThatIsLeftOutIsTold() throws Exception {
        Sheet pump = Examples.ofLibrary("Wash pump");
        assertThat(found(pump, "pole-unused")).isEmpty();
        Sheet twoPoles = pump.withRungs(
                Circuit.POWER,
                pump.power().stream()
                        .map(rung -> {
                            try {
                                return new RungNotation(Set.of("L", "N"))
                                        .read(rung.text().replaceAll(" (@\\S+ )?K1\\[5-6\\]", ""));
                            } catch (RungSyntaxException impossible) {
                                throw new AssertionError(impossible);
                            }
                        })
                        .toList());
        assertThat(twoPoles.power()).isNotEqualTo(pump.power());
        assertThat(found(twoPoles, "pole-unused")).singleElement().satisfies(finding -> assertThat(
                        finding.text() + finding.where())
                .contains("K1", "5-6"));
    }

    @Test
    void aMotorThatNothingStopsIsTold() throws Exception {
        Sheet pump = Examples.ofLibrary("Wash pump");
        assertThat(found(pump, "no-stop")).isEmpty();
        Sheet unstoppable = pump.withRungs(
                Circuit.CONTROL,
                List.of(
                        new RungNotation(Set.of("L", "N")).read("L S1[13-14] @7 K1[A1-A2] N"),
                        new RungNotation(Set.of("L", "N")).read("L K1[13-14] @7")));
        assertThat(found(unstoppable, "no-stop")).singleElement().satisfies(finding -> assertThat(finding.text())
                .contains("M1"));
    }
}
