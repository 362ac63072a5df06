package parable.files;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Device;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.proof.Claim;
import parable.proof.Proof;
import parable.proof.Verdict;

/** A short functional description of a sheet: its motors, what it is operated by, and what was proved that it does. It says nothing that was not proved. */
final class FunctionText {

    private static final Set<Family> OPERATED = EnumSet.of(
            Family.PUSH_BUTTON, Family.SELECTOR, Family.DRUM_SWITCH, Family.EMERGENCY_STOP, Family.MACHINE_SWITCH);

    /** The claims about single contactors, which tell an operator nothing. */
    private static final Set<String> OF_CONTACTORS = Set.of("alone", "together");

    private FunctionText() {}

    /** The lines; one that begins with a hash is a heading. */
    static List<String> lines(Assembly assembly, Proof proof) {
        List<String> lines = new ArrayList<>();
        section(
                lines,
                "Motors",
                assembly.parts().stream()
                        .filter(part -> part.family() == Family.MOTOR)
                        .map(FunctionText::motor));
        section(
                lines,
                "Operated by",
                assembly.parts().stream()
                        .filter(part -> OPERATED.contains(part.family()))
                        .map(part -> where(part.device())));
        section(
                lines,
                "What it does",
                holding(proof, Claim.Sort.DESCRIPTION)
                        .filter(claim -> !OF_CONTACTORS.contains(claim.id().split(":")[0]))
                        .map(Claim::text));
        section(
                lines,
                "What is always so, as long as nothing is broken",
                holding(proof, Claim.Sort.REQUIREMENT).map(Claim::text));
        section(
                lines,
                "What does not hold",
                proof.claims().stream()
                        .filter(claim -> claim.verdict() == Verdict.FAILS)
                        .map(Claim::text));
        section(
                lines,
                "What was not proved",
                proof.claims().stream()
                        .filter(claim ->
                                claim.verdict() == Verdict.UNFINISHED || claim.verdict() == Verdict.NOT_REACHED)
                        .map(Claim::text));
        return lines;
    }

    private static void section(List<String> lines, String heading, Stream<String> sentences) {
        List<String> told = sentences.toList();
        if (!told.isEmpty()) {
            lines.add("#" + heading);
            lines.addAll(told);
            lines.add("");
        }
    }

    private static Stream<Claim> holding(Proof proof, Claim.Sort sort) {
        return proof.claims().stream()
                .filter(claim -> claim.sort() == sort && claim.verdict().holds());
    }

    private static String motor(Part motor) {
        String size = Stream.of("power", "current", "voltage")
                .flatMap(setting -> motor.device().setting(setting).stream())
                .collect(Collectors.joining(", "));
        return named(motor.device()) + (size.isEmpty() ? "" : ": " + size) + ".";
    }

    private static String where(Device device) {
        return named(device) + (device.place().isEmpty() ? "" : ": " + device.place()) + ".";
    }

    private static String named(Device device) {
        return device.label().isEmpty() ? device.tag() : device.tag() + ", " + device.label();
    }
}
