package parable.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import parable.Share;

class ScanPlanTest {

    private static BitSet inputs(Program program, Random random) {
        BitSet ones = new BitSet();
        for (int slot = 0; slot < program.variables().size(); slot++) {
            ones.set(slot, random.nextBoolean());
        }
        return ones;
    }

    /** What a scan makes of a memory does not depend on what need not be remembered. */
    @Test
    void aPackedMemoryBehavesLikeTheWhole() {
        for (int seed = 0; seed < Share.oneIn(4, 400); seed++) {
            Program program = Programs.by(seed);
            ScanPlan plan = new ScanPlan(program);
            Random random = new Random(seed);
            int[] whole = plan.initial();
            long packed = plan.packed(whole);
            for (int scan = 0; scan < 60; scan++) {
                BitSet ones = inputs(program, random);
                int reached = random.nextInt(3);
                plan.scan(whole, ones, slot -> Math.min(plan.marks(slot).length, reached));
                int[] unpacked = plan.unpacked(packed);
                plan.scan(unpacked, ones, slot -> Math.min(plan.marks(slot).length, reached));
                packed = plan.packed(unpacked);
                for (int slot = 0; slot < program.variables().size(); slot++) {
                    assertThat(plan.isOne(unpacked, slot))
                            .as(
                                    "seed %s, scan %s, %s",
                                    seed, scan, program.variables().get(slot).name())
                            .isEqualTo(plan.isOne(whole, slot));
                }
            }
        }
    }

    /** Without what only decides other outputs, an output does the same. */
    @Test
    void thePartThatDecidesAnOutputDecidesItAlone() {
        for (int seed = 0; seed < Share.oneIn(4, 300); seed++) {
            Program program = Programs.by(seed);
            ProgramRun whole = new ProgramRun(program);
            ProgramRun part = new ProgramRun(program.deciding(Set.of("K_0")));
            Random random = new Random(seed);
            long time = 0;
            for (int scan = 0; scan < 40; scan++) {
                time += random.nextInt(2000);
                Set<String> ones = new HashSet<>();
                List.of("S0", "S1", "S2", "S3", "S4", "S5").stream()
                        .filter(any -> random.nextBoolean())
                        .forEach(ones::add);
                whole.scan(ones, time);
                part.scan(ones, time);
                assertThat(part.isOne("K_0")).as("seed %s, scan %s", seed, scan).isEqualTo(whole.isOne("K_0"));
            }
        }
    }

    /** Every edit gives a program that is written and read like any other, and each contact taken away can be put back. */
    @Test
    void editsKeepAProgramWhole() throws Exception {
        for (int seed = 0; seed < Share.oneIn(4, 200); seed++) {
            Program program = Programs.by(seed);
            Random random = new Random(seed);
            for (int edit = 0; edit < 12 && !program.networks().isEmpty(); edit++) {
                int network = random.nextInt(program.networks().size());
                Program before = program;
                program = switch (random.nextInt(5)) {
                    case 0 -> ProgramEdit.inverted(program, network, 0);
                    case 1 -> ProgramEdit.beside(
                            program,
                            network,
                            0,
                            ProgramEdit.Side.values()[random.nextInt(3)],
                            new Logic.LadderContact(new Logic.Operand("S0", false), random.nextBoolean()));
                    case 2 -> ProgramEdit.moved(
                            program, network, random.nextInt(program.networks().size()));
                    case 3 -> ProgramEdit.without(program, network, 0);
                    default -> ProgramEdit.inserted(
                            program,
                            network,
                            new ProgramNetwork(
                                    "",
                                    new Logic.LadderContact(new Logic.Operand("S1", false), false),
                                    new NetworkEnd.Coil("K_0", NetworkEnd.Coil.Kind.SET)));
                };
                assertThat(StructuredText.read(StructuredText.write(program))).isEqualTo(program);
                assertThat(ProgramEdit.inverted(ProgramEdit.inverted(before, network, 0), network, 0))
                        .isEqualTo(before);
            }
        }
    }
}
