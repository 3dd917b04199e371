package org.grenu.formats;

/**
 * Reads something of a file from anywhere. Whatever a reader comes upon, and whatever a library below it throws, is
 * that
 * file's refusal: who reads many files goes on with the next.
 *
 * @param <T> what is read
 */
@FunctionalInterface
public interface GuardedReading<T> {

    /** {@return what was read} */
    T read() throws ImportFailure;

    /**
     * {@return what the reader makes of the file}
     *
     * @param file its name, for the message
     * @throws ImportFailure if it cannot be read, for whatever reason
     */
    static <T> T of(String file, GuardedReading<T> reader) throws ImportFailure {
        try {
            return reader.read();
        } catch (OutOfMemoryError | StackOverflowError tooMuch) {
            throw new ImportFailure(file, 0, "The file asks for more memory than there is.",
                    "Check that it is what its name says; split it if it is.");
        } catch (RuntimeException | Error unforeseen) {
            ImportFailure refused = new ImportFailure(file, 0,
                    "The file could not be understood (" + unforeseen.getClass().getSimpleName() + ").",
                    "Keep it and report this; other files are not affected.");
            refused.initCause(unforeseen);
            throw refused;
        }
    }
}
