package org.grenu.library;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Files that are written wholly or not at all: beside their place, flushed to the disk, then moved there. A file that
 * is
 * there already is replaced only where the caller says that the user agreed, and a library never is.
 */
public final class AtomicFile {

    private static final byte[] DATABASE = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    private static final List<String> BESIDE_DATABASES = List.of("-wal", "-shm", "-journal");
    private static final String PART = ".part";
    /** With the files that SQLite keeps beside its own. */
    private static final Pattern UNFINISHED = Pattern
            .compile("\\..+\\.([0-9]{1,18})-[0-9a-f]+\\.part(?:-wal|-shm|-journal)?", Pattern.DOTALL);

    private AtomicFile() {
    }

    /** Writes what a file is to hold. */
    public interface Content {
        /** Writes it all; need not close. */
        void to(OutputStream out) throws IOException;
    }

    /**
     * Writes a file that is not there yet.
     *
     * @throws IOException if something is there already, or it cannot be written; then nothing is left
     */
    public static void create(Path target, Content content) throws IOException {
        write(target, content, false);
    }

    /**
     * Writes a file, in the place of one that the user agreed to replace.
     *
     * @throws IOException if a library is there, or it cannot be written; then the old file stays as it was
     */
    public static void replace(Path target, Content content) throws IOException {
        write(target, content, true);
    }

    /** As {@link #replace(Path, Content)}, with those bytes. */
    public static void replace(Path target, byte[] bytes) throws IOException {
        write(target, out -> out.write(bytes), true);
    }

    private static void write(Path given, Content content, boolean agreed) throws IOException {
        Path target = resolved(given);
        refuse(target, agreed);
        Path part = part(target);
        try {
            try (FileChannel channel = FileChannel.open(part, StandardOpenOption.CREATE_NEW,
                    StandardOpenOption.WRITE)) {
                OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel), 1 << 16);
                content.to(out);
                out.flush();
                channel.force(true);
            }
            place(part, target, agreed);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** Moves a finished file to its place, which it shares the folder with. */
    static void place(Path part, Path target, boolean agreed) throws IOException {
        refuse(target, agreed);
        if (agreed) {
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
        } else {
            linked(part, target);
        }
        syncFolder(target);
    }

    /**
     * A link fails where something is there, in one step; where there are no links, a move that looks first has to
     * do.
     */
    private static void linked(Path part, Path target) throws IOException {
        try {
            Files.createLink(target, part);
        } catch (FileAlreadyExistsException there) {
            throw alreadyThere(target);
        } catch (UnsupportedOperationException | IOException noLinks) {
            Files.move(part, target);
        }
    }

    /** A link keeps pointing where it did. */
    private static Path resolved(Path given) throws IOException {
        Path target = given.toAbsolutePath();
        return Files.isSymbolicLink(target) && Files.exists(target) ? target.toRealPath() : target;
    }

    private static void refuse(Path target, boolean agreed) throws IOException {
        if (Files.isDirectory(target)) {
            throw new IOException(target + " is a folder. Choose a file name.");
        }
        if (belongsToDatabase(target)) {
            throw new IOException(
                    target + " is a library or belongs to one, which no export may replace. Choose another name.");
        }
        if (!agreed && Files.exists(target, LinkOption.NOFOLLOW_LINKS)) {
            throw alreadyThere(target);
        }
    }

    private static IOException alreadyThere(Path target) {
        return new FileAlreadyExistsException(target + " is there already and was not replaced. Choose another name.");
    }

    private static boolean belongsToDatabase(Path target) throws IOException {
        if (isDatabase(target)) {
            return true;
        }
        String name = String.valueOf(target.getFileName());
        for (String suffix : BESIDE_DATABASES) {
            if (name.endsWith(suffix)
                    && isDatabase(target.resolveSibling(name.substring(0, name.length() - suffix.length())))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isDatabase(Path file) throws IOException {
        if (!Files.isRegularFile(file) || !Files.isReadable(file)) {
            return false;
        }
        try (InputStream in = Files.newInputStream(file)) {
            return Arrays.equals(in.readNBytes(DATABASE.length), DATABASE);
        }
    }

    /**
     * {@return a name beside the target for the unfinished file} What processes that have died left in the folder
     * is cleared away.
     */
    static Path part(Path target) {
        Path folder = target.toAbsolutePath().getParent();
        clearLeft(folder);
        return folder.resolve("." + target.getFileName() + "." + ProcessHandle.current().pid() + "-"
                + Long.toHexString(System.nanoTime()) + PART);
    }

    /** Deletes unfinished files of processes that are no more, where that is allowed. */
    static void clearLeft(Path folder) {
        try (DirectoryStream<
                Path> left = Files.newDirectoryStream(folder, file -> leftOver(file.getFileName().toString()))) {
            for (Path one : left) {
                Files.deleteIfExists(one);
            }
        } catch (IOException | DirectoryIteratorException notAllowed) {
            // They harm nobody where they are.
        }
    }

    private static boolean leftOver(String name) {
        Matcher unfinished = UNFINISHED.matcher(name);
        return unfinished.matches() && ProcessHandle.of(Long.parseLong(unfinished.group(1))).isEmpty();
    }

    /** The new name is on the disk once the folder is; not every system lets a folder be flushed. */
    private static void syncFolder(Path target) {
        try (FileChannel folder = FileChannel.open(target.toAbsolutePath().getParent(), StandardOpenOption.READ)) {
            folder.force(true);
        } catch (IOException notHere) {
            // The file itself is on the disk.
        }
    }
}
