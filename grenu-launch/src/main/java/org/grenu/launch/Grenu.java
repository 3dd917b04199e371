package org.grenu.launch;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.grenu.app.Product;
import org.grenu.cli.AdviseCommand;
import org.grenu.cli.AnalyseCommand;
import org.grenu.cli.CompareCommand;
import org.grenu.cli.DemoFilesCommand;
import org.grenu.cli.LibraryCommand;
import org.grenu.cli.PlainFailures;
import org.grenu.cli.SimulateCommand;
import org.grenu.cli.ValidateCommand;
import org.grenu.desktop.GrenuWindow;
import org.grenu.desktop.WindowRequest;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The command line: opens the window, or runs a batch command without one. */
@Command(name = "grenu", mixinStandardHelpOptions = true, version = "Grenu " + Product.VERSION,
        description = "Reads espresso shots: curves, strength, extraction yield and its uncertainty.",
        subcommands = Grenu.Demo.class)
public final class Grenu implements Callable<Integer> {

    /** Set by the start script when the arguments ask for a window. */
    private static final String WINDOW = "grenu.window";

    private static final List<
            Class<?>> WINDOWLESS = List.of(AnalyseCommand.class, CompareCommand.class, AdviseCommand.class,
                    SimulateCommand.class, ValidateCommand.class, DemoFilesCommand.class, LibraryCommand.class);

    @Parameters(paramLabel = "FILE", description = "Shot logs to import into the library.")
    private List<Path> files = List.of();

    @Option(names = "--library", paramLabel = "PATH", description = "The library file, instead of the user's own.")
    private Path library;

    private Grenu() {
    }

    /** Runs the command line and ends the process with its exit code. */
    public static void main(String[] arguments) {
        boolean window = Boolean.getBoolean(WINDOW);
        if (window) {
            GrenuWindow.warmUp();
        }
        CommandLine line = new CommandLine(new Grenu());
        // Where a window is asked for, nobody waits for the other commands to be looked into.
        (window ? List.<Class<?>>of() : WINDOWLESS).forEach(line::addSubcommand);
        System.exit(line.setExecutionExceptionHandler(new PlainFailures()).execute(arguments));
    }

    @Override
    public Integer call() {
        return GrenuWindow.open(new WindowRequest(library == null ? UserFolder.library() : library, files, false));
    }

    /** Opens the demo study in a library of its own. */
    @Command(name = "demo", mixinStandardHelpOptions = true,
            description = "Open the simulated demo study of the Basalt Room.")
    static final class Demo implements Callable<Integer> {

        @Option(names = "--library", paramLabel = "PATH", description = "The library file, instead of the demo's own.")
        private Path library;

        @Override
        public Integer call() {
            return GrenuWindow
                    .open(new WindowRequest(library == null ? UserFolder.demoLibrary() : library, List.of(), true));
        }
    }
}
