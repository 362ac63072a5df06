package parable.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.parts.Assembly;
import parable.parts.Part;

/** What a contact has to do with, read off a drawing by hand. */
class ControlPathTest {

    /** A fuse from the supply to the rail, drawn against the current; buttons of a closed and an open contact. */
    private static final String DEVICES =
            """
            {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"}, {"tag": "F1", "kind": "fuse"},
            {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "13-14,21-22"},
            {"tag": "K2", "kind": "contactor", "coil": "230 V AC"}, {"tag": "K3", "kind": "contactor", "coil": "230 V AC"},
            {"tag": "K4", "kind": "control-relay", "coil": "230 V AC"}, {"tag": "K5", "kind": "timer", "coil": "230 V AC", "function": "on-delay", "delay": "3 s"},
            {"tag": "P1", "kind": "pilot-lamp", "lamp": "230 V AC"}, {"tag": "P2", "kind": "pilot-lamp", "lamp": "230 V AC"}
            """
                    + buttons("S0", "S1", "S2", "S3", "S4", "S5", "S6", "S7", "S8");

    private static final String RUNGS =
            """
            "L S0[11-12] @3 S1[13-14] @4 K1[A1-A2] N",
            "@3 K1[13-14] @4",
            "L K1[21-22] @5 S2[13-14] @6 K2[A1-A2] N",
            "@6 P1[X1-X2] N",
            "L S3[13-14] @7 P2[X1-X2] N",
            "L S4[11-12] @8 K3[A1-A2] N",
            "L S5[11-12] @8",
            "L K4[A1-A2] @9 S6[11-12] N",
            "@9 K5[A1-A2] L",
            "@4 S7[13-14] @10",
            "@11 S8[13-14] @12"
            """;

    private final Assembly assembly =
            Examples.fitted(Examples.sheet(DEVICES, "\"G1[L] F1[2-1] L\", \"G1[N] N\"", RUNGS));
    private final ControlPath path = new ControlPath(assembly);

    private static String buttons(String... tags) {
        StringBuilder all = new StringBuilder();
        for (String tag : tags) {
            all.append(", {\"tag\": \"%s\", \"kind\": \"push-button\", \"blocks\": \"11-12,13-14\"}".formatted(tag));
        }
        return all.toString();
    }

    private Part part(String tag) {
        return assembly.part(tag).orElseThrow();
    }

    /** A seal-in has to do with its own coil; behind the return side nothing is different; what leads nowhere has to do with nothing. */
    @ParameterizedTest
    @CsvSource({
        "S0, K1 K2",
        "S1, K1 K2",
        "K1, K1 K2",
        "S2, K2",
        "K2, ''",
        "S3, ''",
        "S4, K3",
        "S5, K3",
        "S6, K4 K5",
        "S7, ''",
        "S8, ''",
    })
    void theRelaysOfAContact(String device, String relays) {
        assertThat(String.join(" ", path.relaysOf(part(device)))).isEqualTo(relays);
    }

    @ParameterizedTest
    @CsvSource({
        "S3, P2, true",
        "S2, P1, true",
        "K1, P1, true",
        "S0, P2, false",
        "S1, P1, false",
        "S3, P1, false",
        "F1, P2, false",
        "S7, P1, false",
    })
    void aWayLeadsThroughAContactToALamp(String device, String lamp, boolean leads) {
        assertThat(path.leadsThrough(part(device), part(lamp).loads().get(0), part(lamp)))
                .isEqualTo(leads);
    }

    /** Behind the control of a whole starter there is its motor; the breaker before everything is no matter of the control circuit. */
    @ParameterizedTest
    @CsvSource({
        "Wash pump, S0, M1",
        "Wash pump, K1, M1",
        "Wash pump, Q1, ''",
        "Press platen, S1, M1",
        "Mill, S1, M1",
    })
    void theMotorsOfAContact(String sheet, String device, String motors) {
        Assembly whole = Examples.fitted(Examples.ofLibrary(sheet));
        assertThat(String.join(
                        " ", new ControlPath(whole).motorsOf(whole.part(device).orElseThrow())))
                .isEqualTo(motors);
    }

    /** With the fuse left out of the drawing the rail has no supply, and nothing leads anywhere. */
    @Test
    void withoutASupplyNothingLeadsToARelay() {
        Assembly dead = Examples.fitted(Examples.sheet(DEVICES, "\"G1[N] N\"", RUNGS));
        assertThat(new ControlPath(dead).relaysOf(dead.part("S4").orElseThrow()))
                .isEmpty();
    }
}
