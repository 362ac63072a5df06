package parable.measure;

/** Something that the source declares. */
sealed interface Declared {

    /** The package that declares it, as {@code parable.bench}. */
    String inPackage();

    /** The simple name of the type that it is or belongs to, as {@code Bench} or {@code Drawing.Band}. */
    String type();

    /**
     * A class, record, interface or enum.
     *
     * @param lines from its first to its last, both counted
     * @param known whether code outside of the enclosing class can name it: it is at the top level, or nested and not private
     */
    record Type(String inPackage, String type, int lines, boolean known) implements Declared {

        /** Its name without those of the classes around it. */
        String simpleName() {
            return type.substring(type.lastIndexOf('.') + 1);
        }
    }

    /**
     * A method with a body.
     *
     * @param name its name
     * @param lines from the first of its header to its last, both counted
     * @param parameters how many it takes
     */
    record Method(String inPackage, String type, String name, int lines, int parameters) implements Declared {}

    /**
     * A constructor.
     *
     * @param lines from the first of its header to its last, both counted
     * @param parameters how many it takes
     * @param ofValue whether its type is a record
     */
    record Constructor(String inPackage, String type, int lines, int parameters, boolean ofValue) implements Declared {}

    /**
     * A package that names another in an import.
     *
     * @param imports the package that is named
     */
    record Import(String inPackage, String type, String imports) implements Declared {}
}
