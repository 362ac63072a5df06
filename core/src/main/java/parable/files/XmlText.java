package parable.files;

/** Text as XML 1.0 can hold it. */
final class XmlText {

    private XmlText() {}

    /** With a sign in the place of each character that XML has no place for: control characters, half characters, U+FFFE and U+FFFF. */
    static String of(String text) {
        StringBuilder kept = new StringBuilder(text.length());
        text.codePoints().map(point -> isAllowed(point) ? point : 0xFFFD).forEach(kept::appendCodePoint);
        return kept.toString();
    }

    /** Char of XML 1.0, 2.2. */
    private static boolean isAllowed(int point) {
        return point == '\t'
                || point == '\n'
                || point == '\r'
                || point >= 0x20 && point <= 0xD7FF
                || point >= 0xE000 && point <= 0xFFFD
                || point >= 0x10000;
    }
}
