package parable.app.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.starters.ControlSupply;
import parable.starters.EmergencyStop;
import parable.starters.Lamp;
import parable.starters.Question;
import parable.starters.Supply;

class StartModelTest {

    private final StartModel start = new StartModel(new Job("Tern Hollow", Practice.IEC, List.of(), Extras.NONE));

    private static Question about(String words) {
        return Question.all().stream()
                .filter(question -> question.words().contains(words))
                .findFirst()
                .orElseThrow();
    }

    private List<String> lamps() {
        return start.starter().sheet().devices().stream()
                .filter(device -> device.kind().equals("pilot-lamp"))
                .map(Device::label)
                .toList();
    }

    private String setting(String kind, String name) {
        return start.starter().sheet().devices().stream()
                .filter(device -> device.kind().equals(kind))
                .findFirst()
                .flatMap(device -> device.setting(name))
                .orElseThrow();
    }

    @Test
    void theDoorHasTheLampsThatWereWishedForAndNoOthers() {
        assertThat(lamps()).containsExactly("Running");
        start.lamp(Lamp.RUNNING, false);
        start.lamp(Lamp.TRIPPED, true);
        start.lamp(Lamp.STOPPED, true);
        assertThat(lamps()).containsExactlyInAnyOrder("Stopped", "Tripped");
        assertThat(start.reasons()).anyMatch(reason -> reason.startsWith("Lamp: tripped."));
    }

    @Test
    void aLampOfAnEStopWaitsForTheEStop() {
        start.lamp(Lamp.EMERGENCY_STOP, true);
        assertThat(start.trouble()).contains("A lamp for the E-stop belongs to a starter with an E-stop.");
        start.answer(about("E-stop"), EmergencyStop.ONE);
        assertThat(start.trouble()).isEmpty();
        assertThat(lamps()).containsExactly("Running", "E-stop");
    }

    @Test
    void whatFeedsItDecidesCoilAndOverload() {
        assertThat(setting("contactor", "coil")).isEqualTo("230 V AC");
        String on400 = setting("overload-relay", "setting");
        start.supply(Supply.IEC_690);
        assertThat(setting("contactor", "coil")).isEqualTo("230 V AC");
        assertThat(setting("three-phase-motor", "voltage")).isEqualTo("690 V AC");
        assertThat(on400).isEqualTo("4.9 A");
        assertThat(setting("overload-relay", "setting")).isEqualTo("2.8 A");
        start.answer(about("control voltage"), ControlSupply.LINE_TO_NEUTRAL);
        assertThat(start.trouble()).hasValueSatisfying(words -> assertThat(words)
                .contains("A coil between line and neutral would have 400 V AC here, and 240 V is the most"));
    }

    @Test
    void whatNobodyHasSaidIsAsThePracticeHasIt() {
        start.practice(Practice.NORTH_AMERICAN);
        assertThat(start.supply()).isEqualTo(Supply.NORTH_AMERICAN_480);
        assertThat(setting("contactor", "coil")).isEqualTo("120 V AC");
        start.practice(Practice.IEC);
        assertThat(start.supply()).isEqualTo(Supply.IEC_400);
        assertThat(setting("contactor", "coil")).isEqualTo("230 V AC");
    }
}
