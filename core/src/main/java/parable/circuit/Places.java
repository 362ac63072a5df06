package parable.circuit;

/** How far the places of a sheet are from the back plate, where nobody has said otherwise. */
public final class Places {

    /** The place of what says none. */
    public static final String BACK_PLATE = "panel";

    /** The place over the hinge from the back plate. */
    public static final String DOOR = "door";

    /** From the back plate over the hinge to the door, with slack to open it. */
    private static final double TO_DOOR = 1.0;

    /** From the cabinet to a box on the machine. */
    private static final double TO_FIELD = 6;

    private Places() {}

    /** From the hinge side of the back plate to a place, in m. */
    public static double metresTo(String place) {
        return switch (place) {
            case BACK_PLATE, "" -> 0;
            case DOOR -> TO_DOOR;
            default -> TO_FIELD;
        };
    }
}
