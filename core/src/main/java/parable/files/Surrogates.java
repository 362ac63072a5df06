package parable.files;

/** Halves of characters that stand alone: UTF-16 can hold them, UTF-8 cannot. */
final class Surrogates {

    private Surrogates() {}

    /** JSON in which they are written as escapes, so that they come back as they were. */
    static String escaped(String json) {
        StringBuilder escaped = new StringBuilder(json.length());
        for (int i = 0; i < json.length(); i++) {
            char sign = json.charAt(i);
            if (Character.isHighSurrogate(sign)
                    && i + 1 < json.length()
                    && Character.isLowSurrogate(json.charAt(i + 1))) {
                escaped.append(sign).append(json.charAt(++i));
            } else if (Character.isSurrogate(sign)) {
                escaped.append(String.format("\\u%04x", (int) sign));
            } else {
                escaped.append(sign);
            }
        }
        return escaped.toString();
    }
}
