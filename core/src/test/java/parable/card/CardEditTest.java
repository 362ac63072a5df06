package parable.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Sheet;
import parable.parts.PartException;

/** What is changed from a card. */
class CardEditTest {

    private final Sheet mill = Examples.ofLibrary("Mill");

    private Device device(String tag) {
        return mill.device(tag).orElseThrow();
    }

    @Test
    void aSettingIsWrittenAndEmptyIsTheDefaultAgain() throws PartException {
        Sheet set = CardEdit.put(mill, device("KT").with("setting", "8 s"));

        assertThat(set.device("KT").orElseThrow().setting("setting")).contains("8 s");
        assertThat(CardEdit.put(set, set.device("KT").orElseThrow().with("setting", ""))
                        .device("KT")
                        .orElseThrow()
                        .setting("setting"))
                .isEmpty();
        assertThat(set.control()).isEqualTo(mill.control());
    }

    @Test
    void whatSaysNothingSensibleIsRefusedWithTheReason() {
        assertThatThrownBy(() -> CardEdit.put(mill, device("KT").with("setting", "soon")))
                .isInstanceOf(PartException.class)
                .hasMessageContaining("found 'soon', expected a number of s from 0.01 to 36000");
        assertThatThrownBy(() -> CardEdit.put(mill, device("KT").with("base", "8-pin")))
                .as("rungs use its screws")
                .isInstanceOf(PartException.class);
    }

    @Test
    void anotherTagIsWrittenEverywhere() throws EditException {
        Sheet renamed = CardEdit.renamed(mill, "KT", " KT5 ");

        assertThat(renamed.device("KT")).isEmpty();
        assertThat(renamed.control().toString())
                .isEqualTo(mill.control().toString().replace("tag=KT,", "tag=KT5,"));
        assertThatThrownBy(() -> CardEdit.renamed(mill, "KT", "KM")).isInstanceOf(EditException.class);
    }

    @Test
    void aRemarkIsWrittenBesideItsRungAlone() {
        Sheet remarked = CardEdit.remarked(mill, new Pick.OfRung(Circuit.CONTROL, 1), " holds main in ");

        assertThat(remarked.control().get(1).remark()).isEqualTo("holds main in");
        assertThat(remarked.control().get(1).items())
                .isEqualTo(mill.control().get(1).items());
        assertThat(remarked.control().get(0)).isEqualTo(mill.control().get(0));
    }
}
