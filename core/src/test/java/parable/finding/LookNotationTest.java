package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.parts.Assembly;
import parable.testsheet.Glimpse;
import parable.testsheet.StepRehearsal;

class LookNotationTest {

    private static final Assembly WASH_PUMP = Examples.fitted(Examples.ofLibrary("Wash pump"));

    private static LookResult read(String text) throws FindingException {
        return new LookNotation(WASH_PUMP).read(text);
    }

    /** What a proposal says can be typed back with what was found, and is the same look. */
    @ParameterizedTest
    @ValueSource(strings = {"Wash pump", "Press platen", "Hand off auto", "24 V DC", "Drum switch"})
    void everyLookThatIsOfferedCanBeTyped(String sheet) throws FindingException {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));
        StepRehearsal sound = new StepRehearsal(assembly, List.of());
        List<PanelLook> all = new LookCatalogue(assembly).all();

        assertThat(all).hasSizeGreaterThan(80);
        for (PanelLook look : all) {
            LookResult seen = new LookResult(
                    look, look.observation().at(sound.rest(look.situation())).text());
            assertThat(new LookNotation(assembly).read(seen.text()))
                    .as(seen.text())
                    .isEqualTo(seen);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "close Q1, press S1; K1 out, P2 lit | close Q1, press S1; K1 out, P2 lit",
                "close Q1; look = K1 out | close Q1; K1 out",
                "K1 in | touch nothing; K1 in",
                "close Q1, press S1, release S1, wait; F2 tripped | close Q1, press S1, release S1, wait; F2 tripped",
                "close Q1; protection opens, K1 out | close Q1; protection opens, K1 out",
                "dead,press S1 ;ohms S1:13 to S1:14=0 ohm | dead, press S1; ohms S1:13 to S1:14 = 0 ohm",
                "dead; wires panel = K1 13 comes off | dead; wires panel = K1 13 comes off",
                "dead; dial F2 = 9.8 A | dead; dial F2 = 9.8 A"
            })
    void whatIsTypedIsUnderstood(String typed, String understood) throws FindingException {
        assertThat(read(typed).text()).isEqualTo(understood);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "press X9; K1 out | what was done: found press X9, expected",
                "shove S1; K1 out | what was done: found shove S1, expected deeds such as",
                "press Q1; K1 out | what was done: found press Q1, expected",
                "close Q1; K9 out | what was looked at: found K9, expected a device of the sheet: ",
                "close Q1; K1 purple | K1: found purple, expected one of in, out",
                "close Q1; K1 lit | K1: found lit, expected one of in, out",
                "close Q1; volts 5 to 99 = 0 V | probe: found 99, expected a wired terminal",
                "close Q1; volts 5 to 2 = | volts 5 to 2: found nothing, expected what was found",
                "close Q1; ohms K1:A1 to K1:A2 = open | ohms K1:A1 to K1:A2: found ohms on a live panel, expected 'dead'",
                "dead; dial K1 = 4 A | dial K1: found K1, expected an overload relay with a dial",
                "dead; sniff K1 = burnt | what was looked at: found sniff K1, expected 'K1 out, P2 lit', ",
                "dead; ohms K1:A1 to K1:A2 = banana | ohms K1:A1 to K1:A2: found banana, expected a number with its unit",
                "close Q1; | what was seen: found nothing, expected",
                "close Q1, wait, press S1; K1 out | what was done: found wait, expected deeds such as 'close Q1, press S1', 'wait' as the last",
                "dead, wait; dial F2 = 4 A | what was done: found wait, expected the machine on"
            })
    void whatMakesNoSenseIsRefusedInWords(String typed, String words) {
        assertThatThrownBy(() -> read(typed))
                .isInstanceOf(FindingException.class)
                .hasMessageStartingWith(words);
    }

    @Test
    void aLookIsToldInWordsThatCanBeReadAloud() throws FindingException {
        assertThat(read("dead, press S1; ohms S1:13 to S1:14 = 0").look().words())
                .isEqualTo("Switched off, locked and proved dead. Press S1. Ohms from S1 13 to S1 14.");
        assertThat(read("close Q1; K1 in").look().observation()).isEqualTo(new Glimpse(List.of("K1")));
    }
}
