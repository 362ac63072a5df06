package parable.wiring;

/**
 * A label to be printed.
 *
 * @param text what is on it
 * @param goesOn what it is put on
 * @param at where: the terminal for a ferrule, what the device is for otherwise
 * @param place the place in which it is put on
 */
public record Label(String text, On goesOn, String at, String place) {

    /** What a label can be put on. */
    public enum On {
        /** The end of a wire. */
        WIRE_END("wire end"),
        /** A device. */
        DEVICE("device");

        private final String words;

        On(String words) {
            this.words = words;
        }

        /** As an electrician says it. */
        public String words() {
            return words;
        }
    }
}
