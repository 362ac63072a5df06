package parable.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.parts.Part;

/** Several supplies on one sheet: what may meet, what must not, and what hangs on which. */
class SuppliesTest {

    private static final String DEVICES =
            """
            {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"},
            {"tag": "G2", "kind": "dc-supply", "input": "230 V AC"}, {"tag": "G3", "kind": "dc-supply", "input": "230 V AC"},
            {"tag": "G4", "kind": "dc-supply", "input": "230 V AC", "output": "48 V DC"},
            {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
            {"tag": "P1", "kind": "pilot-lamp", "lamp": "24 V DC"}, {"tag": "P2", "kind": "pilot-lamp", "lamp": "230 V AC"},
            {"tag": "P3", "kind": "pilot-lamp", "lamp": "24 V DC"}
            """;

    private static Network network(String power, String rungs) {
        return Network.of(Examples.fitted(Examples.sheet(
                DEVICES,
                "\"G1[L] L\", \"G1[N] N\", \"L G2[L-N] N\", \"L G3[L-N] N\", \"L G4[L-N] N\"" + power,
                rungs)));
    }

    private static BitSet contacts(Network network, boolean closed) {
        BitSet contacts = new BitSet();
        contacts.set(0, network.contactCount(), closed);
        return contacts;
    }

    /** References may meet, and two of one voltage side by side; the rest is a common point that nobody meant. What a button joins is never meant. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''                                   | false | ''",
                "G2[-] G3[-]                          | false | ''",
                "G2[-] N                              | false | ''",
                "G2[+] G3[+]                          | false | ''",
                "G2[+] G4[+]                          | false | G2:+ G4:+",
                "G2[+] G3[-]                          | false | G2:+ G3:-",
                "G2[+] L                              | false | G1:L G2:+",
                "G2[-] S1[13-14] G3[-]                | false | ''",
                "G2[-] S1[13-14] G3[-]                | true  | G2:- G3:-",
                "G2[+] S1[13-14] G3[+]                | true  | G2:+ G3:+"
            })
    void whatGivesTwoSuppliesACommonPoint(String wire, boolean pressed, String joint) {
        Network network = network(wire.isEmpty() ? "" : ", \"" + wire.strip() + "\"", "");
        Supplies supplies = new Supplies(network);
        assertThat(supplies.areSeveral()).isTrue();
        assertThat(supplies.joined(contacts(network, pressed))
                        .map(found -> found.one() + " " + found.other())
                        .orElse(""))
                .isEqualTo(joint);
    }

    @Test
    void aloneThereIsNothingToJoin() {
        Supplies one = new Supplies(Network.of(Examples.fitted(Examples.sheet(
                "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}",
                "\"G1[L] L\", \"G1[N] N\"",
                ""))));
        assertThat(one.areSeveral()).isFalse();
    }

    /** With every contact taken for closed, whichever way round; a lamp before another, or from one supply to the other, hangs on none. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "G2 | G2[+] S1[13-14] P1[X1-X2] G2[-] | P1",
                "G2 | G2[+] P1[X2-X1] G2[-]           | P1",
                "G3 | G2[+] P1[X1-X2] G2[-]           | ''",
                "G2 | G2[+] P1[X1-X2] @9 P3[X1-X2] G2[-] | ''",
                "G2 | G2[+] P1[X1-X2] G3[-]           | ''",
                "G1 | L P2[X1-X2] N                   | G2 G3 G4 P2",
                "G1 | L P2[X1-X2] G2[-]               | G2 G3 G4"
            })
    void whatHangsOnASupply(String tag, String rung, String loads) {
        Network network = network("", "\"" + rung.strip() + "\"");
        Part supply = network.assembly().part(tag).orElseThrow();
        assertThat(new FedLoads(network)
                        .of(supply, supply.sources().get(0)).stream()
                                .map(fed -> fed.part().tag())
                                .collect(Collectors.joining(" ")))
                .isEqualTo(loads);
    }
}
