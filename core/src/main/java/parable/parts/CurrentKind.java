package parable.parts;

/** What kind of current a supply gives or a load wants. */
public enum CurrentKind {
    AC,
    DC
}
