package parable.parts;

/** What a load does with its voltage. */
public enum LoadRole {
    COIL,
    LAMP,
    WINDING
}
