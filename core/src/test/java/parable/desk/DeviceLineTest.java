package parable.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.starters.Library;

/** What a device is for and how it is set, on one line. */
class DeviceLineTest {

    private static final Sheet PUMP = Library.jobs().get(0).sheet("Wash pump").orElseThrow();

    @Test
    void whatIsWrittenOfADeviceReadsAsThatDevice() throws Exception {
        for (Job job : Library.jobs()) {
            for (Sheet sheet : job.sheets()) {
                for (Device device : sheet.devices()) {
                    assertThat(DeviceLine.read(device, DeviceLine.of(device)))
                            .as(device.tag())
                            .isEqualTo(device);
                }
            }
        }
    }

    @Test
    void settingsPlaceAndNameAreTaken() throws Exception {
        Device stop = PUMP.device("S0").orElseThrow();
        Device changed = DeviceLine.read(stop, " Halt ;blocks = 11-12 21-22; colour=red ; place= desk");
        assertThat(changed.label()).isEqualTo("Halt");
        assertThat(changed.setting("blocks")).contains("11-12 21-22");
        assertThat(changed.place()).isEqualTo("desk");
        assertThat(changed.tag()).isEqualTo(stop.tag());
        assertThat(changed.kind()).isEqualTo(stop.kind());
        assertThat(DeviceLine.read(stop, "").settings())
                .as("what is not written is not set")
                .isEmpty();
    }

    @Test
    void whatIsNoSettingIsRefusedWithThoseThereAre() {
        Device stop = PUMP.device("S0").orElseThrow();
        for (String wrong : new String[] {"Halt; amps=5", "Halt; colour", "Halt; =red", "Halt; place"}) {
            assertThatThrownBy(() -> DeviceLine.read(stop, wrong))
                    .as(wrong)
                    .isInstanceOf(EditException.class)
                    .hasMessageStartingWith("S0: found '")
                    .hasMessageContaining("blocks=");
        }
    }

    @Test
    void coilsAreForTheVoltageThatTheSheetHasAlready() throws Exception {
        assertThat(CoilVoltage.of(Assembly.of(PUMP), Practice.NORTH_AMERICAN)).isEqualTo("230 V AC");
        Sheet relay = Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .filter(sheet -> sheet.name().equals("24 V DC"))
                .findFirst()
                .orElseThrow();
        assertThat(CoilVoltage.of(Assembly.of(relay), Practice.IEC)).isEqualTo("24 V DC");
        Sheet empty = new Sheet("Empty", PUMP.duty(), List.of(), List.of(), List.of(), List.of(), Extras.NONE);
        assertThat(CoilVoltage.of(Assembly.of(empty), Practice.IEC)).isEqualTo("230 V AC");
        assertThat(CoilVoltage.of(Assembly.of(empty), Practice.NORTH_AMERICAN)).isEqualTo("120 V AC");
    }
}
