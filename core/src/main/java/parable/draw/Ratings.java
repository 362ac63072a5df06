package parable.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.parts.Nameplate;
import parable.parts.Part;
import parable.parts.Protection;
import parable.parts.Source;

/** What is written beside a device of the power circuit about its size, as its nameplate or its dial says it. */
final class Ratings {

    private Ratings() {}

    /** The lines beside a device, the most telling first; none for one that has no size of its own. */
    static List<String> of(Part part) {
        return switch (part.family()) {
            case FUSE, BREAKER, OVERLOAD_RELAY -> protecting(part);
            case CONVERTER -> converting(part);
            case RESISTOR -> given(part, "resistance", "power");
            case CONTACTOR -> given(part, "rated", "category");
            case MOTOR -> ofMotor(part);
            default -> List.of();
        };
    }

    /** What a motor is and takes: {@code 18.5 kW}, {@code 35 A}, as far as its nameplate says it. */
    static List<String> ofMotor(Part motor) {
        return given(motor, "power", "current");
    }

    /** Curve and rated current of what opens by its curve, dial and class of what has a thermal release. */
    private static List<String> protecting(Part part) {
        List<String> lines = new ArrayList<>();
        part.protection()
                .filter(protection -> part.heater().isEmpty())
                .map(Ratings::words)
                .ifPresent(lines::add);
        part.heater().ifPresent(heater -> {
            lines.add(amperes(heater.setting()));
            lines.add("class " + part.device().setting("class").orElse("10"));
        });
        return lines;
    }

    private static String words(Protection protection) {
        Optional<String> curve = protection.curve().map(one -> one.sign() + " ");
        return curve.orElse("") + amperes(protection.amperes());
    }

    /** The voltages on both sides, and what it can give. */
    private static List<String> converting(Part part) {
        List<String> lines = new ArrayList<>();
        String input = part.loads().get(0).rated().toString();
        boolean transformer = part.sources().stream()
                .flatMap(source -> source.following().stream())
                .anyMatch(following -> following.law() == Source.Law.IN_PROPORTION);
        lines.add(transformer ? input.replaceAll(" V.*", "") : input);
        part.sources().stream()
                .findFirst()
                .map(source -> source.rated().toString())
                .ifPresent(output -> {
                    if (transformer) {
                        lines.set(0, lines.get(0) + "/" + output.replaceAll(" AC", ""));
                    } else {
                        lines.add(output);
                    }
                });
        lines.addAll(given(part, "rated"));
        return lines;
    }

    private static List<String> given(Part part, String... settings) {
        return List.of(settings).stream()
                .flatMap(setting -> part.device().setting(setting).stream())
                .toList();
    }

    private static String amperes(double current) {
        return Nameplate.figure(current) + " A";
    }

    /** The voltage that a coil is made for, which is written under it: {@code 230 V AC}; empty for what has no coil. */
    static Optional<String> ofCoil(Part part, int load) {
        return tellsVoltage(part, load)
                ? Optional.of(part.loads().get(load).rated().toString())
                : Optional.empty();
    }

    /** Whether {@link #ofCoil} tells a voltage. */
    static boolean tellsVoltage(Part part, int load) {
        return switch (part.loads().get(load).role()) {
            case COIL, SHUNT_RELEASE, UNDERVOLTAGE_RELEASE, SOLENOID -> true;
            case LAMP, HORN, WINDING, RESISTOR, INPUT, READING -> false;
        };
    }
}
