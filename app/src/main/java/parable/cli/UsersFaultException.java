package parable.cli;

/** Something that whoever typed the command can put right; its message is all they need to see. */
final class UsersFaultException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    UsersFaultException(String message) {
        super(message);
    }
}
