package parable.plc;

import java.util.Map;
import java.util.Optional;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.TimerProgram;
import parable.program.VariableType;

/** What a timer of the ladder becomes in the program. */
final class TimerDraft {

    private TimerDraft() {}

    /**
     * Declares what a timer needs.
     *
     * @param label what the timer is for
     * @return the variables: by its tag its block, and where it has them by {@code fed} and {@code gap} behind its tag whether it is fed, and the block for
     *     the time between two contactors
     */
    static Map<String, String> declared(Part timer, ProgramDraft program, String label) throws TranslationException {
        String tag = timer.tag();
        String function = timer.device().setting("function").orElse("on-delay");
        return switch (function) {
            case "off-delay" -> Map.of(tag, program.block(tag, VariableType.TOF, label));
            case "on-delay" -> Map.of(tag, program.block(tag, VariableType.TON, label));
            case "star-delta" -> {
                String block = program.block(tag, VariableType.TON, label);
                String fed = program.bit(tag + "_fed", Optional.empty(), label);
                String gap = program.block(tag + "_gap", VariableType.TON, "time between the two");
                yield Map.of(tag, block, tag + " fed", fed, tag + " gap", gap);
            }
            case "interval" -> {
                String block = program.block(tag, VariableType.TON, label);
                yield Map.of(tag, block, tag + " fed", program.bit(tag + "_fed", Optional.empty(), label));
            }
            default -> {
                TimerProgram clock = ((Drive.ByTimer) timer.drive()).program();
                throw new TranslationException(
                        tag,
                        "a " + function + " timer with " + clock.fed().size() + " stages",
                        "an on-delay, off-delay, interval or star-delta timer");
            }
        };
    }
}
