package org.grenu.formats.exchange;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.grenu.formats.ImportFailure;

/**
 * A zip file from anywhere. Nothing of it is written to the disk, its entries are only read by their names; all the
 * same
 * names that lead out of it are refused, and so is what unpacks to more than a library can be.
 */
public final class SafeZip implements AutoCloseable {

    static final int MOST_ENTRIES = 200_000;
    static final long MOST_BYTES = 8L << 30;
    static final long MOST_OF_ONE = 4L << 30;
    static final long LARGEST_FILE = 128L << 20;
    /** Text packs about ten to one, a log that stands still fifty to one; a bomb thousands to one. */
    static final long MOST_RATIO = 400;
    private static final long SMALL = 1L << 20;

    private final String name;
    private final ZipFile zip;
    private long read;

    /**
     * Opens the archive.
     *
     * @throws ImportFailure if it is none, or its entries are not those of an honest one
     */
    public SafeZip(Path file) throws ImportFailure {
        name = file.getFileName().toString();
        try {
            zip = new ZipFile(file.toFile());
        } catch (ZipException notZip) {
            throw new ImportFailure(name, 0, "This is not a zip file, or it is damaged (" + notZip.getMessage() + ").",
                    "Choose a package that Grenu wrote, or copy it again.");
        } catch (IOException unreadable) {
            throw new ImportFailure(name, 0, "The file cannot be read (" + unreadable.getMessage() + ").",
                    "Check the path.");
        }
        checkOrClose();
    }

    private void checkOrClose() throws ImportFailure {
        try {
            check();
        } catch (ImportFailure refused) {
            try {
                zip.close();
            } catch (IOException second) {
                refused.addSuppressed(second);
            }
            throw refused;
        }
    }

    private void check() throws ImportFailure {
        if (zip.size() > MOST_ENTRIES) {
            throw refused("has more than " + MOST_ENTRIES + " entries");
        }
        Set<String> names = new HashSet<>();
        List<? extends ZipEntry> entries = new ArrayList<>(zip.stream().toList());
        for (ZipEntry entry : entries) {
            String path = entry.getName();
            refuseLeadingOut(path);
            if (!names.add(path)) {
                throw refused("has two entries “" + path + "”");
            }
        }
    }

    private void refuseLeadingOut(String path) throws ImportFailure {
        boolean leadsOut = path.startsWith("/") || path.contains("\\") || path.contains(":")
                || path.indexOf('\0') >= 0
                || List.of(path.split("/")).stream().anyMatch(part -> part.equals("..") || part.equals("."));
        if (leadsOut) {
            throw refused("has an entry “" + path + "” that leads out of it");
        }
    }

    private ImportFailure refused(String why) {
        return new ImportFailure(name, 0, "The package " + why + ".",
                "It was not written by Grenu; nothing of it was taken in.");
    }

    boolean has(String path) {
        return zip.getEntry(path) != null;
    }

    /** {@return the entry's content, which breaks off with an {@link IOException} where it unpacks to too much} */
    InputStream open(String path) throws IOException {
        return open(path, MOST_OF_ONE);
    }

    private InputStream open(String path, long limit) throws IOException {
        ZipEntry entry = zip.getEntry(path);
        if (entry == null) {
            throw new IOException("the package has no entry “" + path + "”");
        }
        long packed = Math.max(1, entry.getCompressedSize());
        return new FilterInputStream(zip.getInputStream(entry)) {
            private long own;

            @Override
            public int read() throws IOException {
                int one = in.read();
                count(one < 0 ? 0 : 1);
                return one;
            }

            @Override
            public int read(byte[] bytes, int from, int length) throws IOException {
                int some = in.read(bytes, from, length);
                count(Math.max(0, some));
                return some;
            }

            private void count(int bytes) throws IOException {
                own += bytes;
                read += bytes;
                if (own > limit || read > MOST_BYTES || own > SMALL && own / packed > MOST_RATIO) {
                    throw new IOException("the entry “" + path + "” unpacks to more than it can be");
                }
            }
        };
    }

    /** {@return the names of its files, in the order of the archive} */
    public List<String> names() {
        return zip.stream().filter(entry -> !entry.isDirectory()).map(ZipEntry::getName).map(String::valueOf).toList();
    }

    /** {@return the whole entry, which must be a file of a size that is kept} */
    public byte[] bytes(String path) throws IOException {
        try (InputStream in = open(path, LARGEST_FILE)) {
            return in.readAllBytes();
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
