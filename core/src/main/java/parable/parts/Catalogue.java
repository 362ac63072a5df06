package parable.parts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** All kinds of device there are. */
public final class Catalogue {

    private static final List<PartKind> KINDS = Stream.of(
                    SupplyKinds.all(),
                    MotorKinds.all(),
                    SwitchgearKinds.all(),
                    RelayKinds.all(),
                    ControllerKinds.all(),
                    OperatorKinds.all())
            .flatMap(List::stream)
            .toList();

    private Catalogue() {}

    /** All kinds, in the order an electrician would look for them: supply first, lamps last. */
    public static List<PartKind> kinds() {
        return KINDS;
    }

    private static final Map<String, PartKind> BY_ID =
            KINDS.stream().collect(Collectors.toUnmodifiableMap(PartKind::id, Function.identity()));

    /** The kind that job files call so, empty if there is none. */
    public static Optional<PartKind> kind(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }
}
