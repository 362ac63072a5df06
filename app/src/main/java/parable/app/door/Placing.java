package parable.app.door;

/** Mounts operators and lamps elsewhere. */
public interface Placing {

    /** Mounts a device in a place. */
    void put(String tag, String place);

    /** Asks for a place that has no plate yet, and mounts a device there. */
    void putElsewhere(String tag);
}
