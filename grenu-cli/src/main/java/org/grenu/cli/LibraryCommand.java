package org.grenu.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.grenu.formats.ImportFailure;
import org.grenu.app.exchange.LibraryExchange;
import org.grenu.library.AtomicFile;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Whole libraries: out, in, together, and safe. */
@Command(name = "library", mixinStandardHelpOptions = true,
        description = "Export, merge, back up and restore a library.")
public final class LibraryCommand implements Callable<Integer> {

    /** What is done with the library. */
    enum Task { EXPORT, WORKBOOK, MERGE, BACKUP, RESTORE }

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "TASK",
            description = "export (data package, .zip), workbook (.xlsx), merge (a package or another library), "
                    + "backup, restore.")
    private String task;

    @Parameters(index = "1", paramLabel = "FILE", description = "What to write, or to read.")
    private Path file;

    @Option(names = "--library", paramLabel = "PATH", required = true, description = "The library.")
    private Path library;

    @Option(names = "--replace", description = "Replace a file that is there already; a library is never replaced.")
    private boolean replace;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        PrintWriter err = spec.commandLine().getErr();
        Task wanted;
        try {
            wanted = Task.valueOf(task.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException unknown) {
            err.println("“" + task + "” is not a task. Known: export, workbook, merge, backup, restore.");
            return 2;
        }
        if (wanted != Task.MERGE && wanted != Task.RESTORE && !Files.exists(library)) {
            err.println("There is no library " + library + ". Check the path.");
            return 1;
        }
        try (Library opened = Library.open(library)) {
            out.println(run(wanted, opened));
            return 0;
        } catch (ImportFailure | LibraryException | IOException failed) {
            err.println(failed.getMessage());
            return 1;
        }
    }

    private String run(Task wanted, Library opened) throws IOException, ImportFailure {
        LibraryExchange exchange = new LibraryExchange(opened);
        return switch (wanted) {
            case EXPORT -> {
                write(exchange.dataPackage(opened.read(tx -> tx.shots().all()), number -> {}));
                yield "Wrote " + opened.read(tx -> tx.shots().all()).size() + " shots to " + file + ".";
            }
            case WORKBOOK -> {
                write(exchange.workbook(opened.read(tx -> tx.shots().all())));
                yield "Wrote " + file + ".";
            }
            case MERGE -> exchange.merge(file).words();
            case BACKUP -> {
                opened.backUp(file);
                yield "Backed up to " + file + ", read back and equal.";
            }
            case RESTORE -> "Restored and checked. The library as it was is in " + opened.restoreFrom(file) + ".";
        };
    }

    private void write(AtomicFile.Content content) throws IOException {
        if (replace) {
            AtomicFile.replace(file, content);
        } else {
            AtomicFile.create(file, content);
        }
    }
}
