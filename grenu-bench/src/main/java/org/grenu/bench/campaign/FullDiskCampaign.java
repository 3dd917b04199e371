package org.grenu.bench.campaign;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.grenu.app.exchange.LibraryArchive;
import org.grenu.app.exchange.LibraryExchange;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.exchange.DataPackageWriter;
import org.grenu.library.AtomicFile;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import org.grenu.library.ShotSummary;

/**
 * Lets the disk run full at every write of every operation: {@code FullDiskCampaign FOLDER [OPERATION…]}, a folder on
 * a file system of a few
 * megabytes that holds nothing else, such as {@code mount -t tmpfs -o size=6m tmpfs FOLDER}. With each amount of
 * space left, from
 * none to plenty, the operation must be done wholly or fail in words that name the full disk; the library must be as
 * before
 * or as after; nothing unfinished may stay; and the operation must succeed once there is space.
 */
public final class FullDiskCampaign {

    private static final int STEP = 4096;
    private static final int MOST = 700 * 1024;
    private static final String BALLAST = "ballast";

    private final Path folder;
    private final Path elsewhere;
    private final List<String> faults = new ArrayList<>();

    private FullDiskCampaign(Path folder, Path elsewhere) {
        this.folder = folder;
        this.elsewhere = elsewhere;
    }

    private interface Operation {
        void on(Library library) throws IOException, ImportFailure;
    }

    /** Runs the campaign and prints what it found. */
    public static void main(String[] arguments) throws IOException, ImportFailure {
        Path elsewhere = Files.createTempDirectory("grenu-full").resolve("other.sqlite");
        try (Library other = Library.open(elsewhere)) {
            for (int i = 0; i < LibraryWorker.OTHER_SHOTS; i++) {
                Shot shot = CampaignShots.shot(LibraryState.OTHERS + i);
                other.write(tx -> tx.shots().add("other.csv", new byte[LibraryWorker.RAW_BYTES], shot));
            }
        }
        FullDiskCampaign campaign = new FullDiskCampaign(Path.of(arguments[0]), elsewhere);
        Map<String, Operation> operations = new LinkedHashMap<>();
        operations.put("import",
                library -> library.write(
                        tx -> tx.shots().add("shot.csv", new byte[LibraryWorker.RAW_BYTES], CampaignShots.shot(77))));
        operations.put("edit", library -> library.write(tx -> tx.journal()
                .make(first(library).id(),
                        RecordEdit.of(first(library).written(), RecordField.DOSE, "17.25"))));
        operations.put("attach", library -> library
                .write(tx -> tx.attachments().attach(first(library).id(), "photo.jpg", new byte[60_000])));
        operations.put("merge", library -> new LibraryExchange(library).merge(elsewhere));
        operations.put("backup", library -> library.backUp(campaign.folder.resolve("copy.backup")));
        operations.put("restore", library -> library.restoreFrom(campaign.elsewhere));
        operations.put("export",
                library -> AtomicFile.create(campaign.folder.resolve("out.zip"), out -> DataPackageWriter.write(
                        new LibraryArchive(library, library.read(tx -> tx.shots().all()), number -> {}), out)));
        for (Map.Entry<String, Operation> operation : operations.entrySet()) {
            if (arguments.length > 1 && !List.of(arguments).contains(operation.getKey())) {
                continue;
            }
            campaign.run(operation.getKey(), operation.getValue());
        }
        System.out.println(campaign.faults.isEmpty() ? "Nothing lost, nothing half done, every message true."
                : String.join("\n", campaign.faults));
    }

    private static ShotSummary first(Library library) {
        return library.read(tx -> tx.shots().all()).get(0);
    }

    private void run(String name, Operation operation) throws IOException, ImportFailure {
        int failed = 0;
        int done = 0;
        for (int free = 0; free <= MOST; free += STEP) {
            prepare();
            LibraryState before;
            boolean succeeded = false;
            try (Library library = Library.open(folder.resolve("library.sqlite"))) {
                before = LibraryState.of(library);
                fill(free);
                try {
                    operation.on(library);
                    succeeded = true;
                    done++;
                } catch (LibraryException | IOException | ImportFailure refused) {
                    failed++;
                    String words = String.valueOf(refused.getMessage());
                    if (!words.contains("disk is full") && !words.contains("No space left")) {
                        faults.add(name + ", " + free + " bytes left: said “" + words + "”");
                    }
                } catch (RuntimeException unforeseen) {
                    failed++;
                    faults.add(name + ", " + free + " bytes left: threw " + unforeseen);
                }
            }
            Files.delete(folder.resolve(BALLAST));
            look(name, free, before, succeeded);
            if (!succeeded) {
                again(name, free, operation);
            }
        }
        System.out.println(name + ": " + failed + " times without space enough, " + done + " times with");
    }

    private void prepare() throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            for (Path one : all.toList()) {
                Files.delete(one);
            }
        }
        try (Library library = Library.open(folder.resolve("library.sqlite"))) {
            for (int i = 0; i < 3; i++) {
                Shot shot = CampaignShots.shot(i);
                library.write(tx -> tx.shots().add("shot.csv", new byte[LibraryWorker.RAW_BYTES], shot));
            }
        }
    }

    private void fill(int free) throws IOException {
        Path ballast = folder.resolve(BALLAST);
        byte[] page = new byte[STEP];
        try (OutputStream out = Files.newOutputStream(ballast, StandardOpenOption.CREATE_NEW)) {
            while (Files.getFileStore(folder).getUsableSpace() > free) {
                out.write(page);
                out.flush();
            }
        } catch (IOException full) {
            // As full as it gets.
        }
    }

    private void look(String name, int free, LibraryState before, boolean succeeded) throws IOException {
        try (Library library = Library.open(folder.resolve("library.sqlite"))) {
            LibraryState after = LibraryState.of(library);
            if (!succeeded && !after.equals(before)) {
                faults.add(name + ", " + free + " bytes left: failed, and changed " + before.text() + " to "
                        + after.text());
            }
        }
        try (Stream<Path> all = Files.list(folder)) {
            List<String> left = all.map(path -> path.getFileName().toString())
                    .filter(path -> path.endsWith(".part")
                            || !succeeded && (path.endsWith(".zip") || path.endsWith(".backup")))
                    .toList();
            if (!left.isEmpty()) {
                faults.add(name + ", " + free + " bytes left: " + left + " stayed");
            }
        }
    }

    private void again(String name, int free, Operation operation) throws IOException, ImportFailure {
        try (Library library = Library.open(folder.resolve("library.sqlite"))) {
            operation.on(library);
        } catch (LibraryException refused) {
            faults.add(name + ", after " + free + " bytes: did not succeed with space (" + refused.getMessage() + ")");
        }
    }
}
