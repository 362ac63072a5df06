package parable.plc;

/** A sheet that cannot be translated. The message names the place, what was found and what was expected. */
public final class TranslationException extends Exception {

    private static final long serialVersionUID = 1L;

    TranslationException(String place, String found, String expected) {
        super(place + ": found " + found + ", expected " + expected);
    }
}
