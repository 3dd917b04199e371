package org.grenu.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.demo.DemoStudy.DemoShot;
import org.grenu.formats.ShelfJson;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotJsonWriter;
import org.grenu.library.AtomicFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Writes the demo study's files; those under {@code demo/} were made by it. */
@Command(name = "demo-files", mixinStandardHelpOptions = true,
        description = "Write the simulated demo study's shot files into a folder.")
public final class DemoFilesCommand implements Callable<Integer> {

    /** Name of the file that lists the others. */
    public static final String INDEX = "index.txt";

    /** Name of the file with what stands on the demo's shelf. */
    public static final String SHELF = "shelf.json";

    @Parameters(paramLabel = "FOLDER", description = "Where to write; made when it does not exist.")
    private Path folder;

    @Override
    public Integer call() throws IOException {
        Files.createDirectories(folder);
        List<DemoShot> shots = DemoStudy.shots();
        for (DemoShot shot : shots) {
            write(folder.resolve(fileName(shot)), content(shot));
        }
        write(folder.resolve(INDEX),
                shots.stream().map(DemoFilesCommand::fileName).collect(Collectors.joining("\n", "", "\n")));
        write(folder.resolve(SHELF), ShelfJson.write(DemoShelf.items()));
        return 0;
    }

    /** What is there already and says the same stays; what says something else is not ours to replace. */
    private static void write(Path file, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        if (!Files.isRegularFile(file) || !Arrays.equals(Files.readAllBytes(file), bytes)) {
            AtomicFile.create(file, out -> out.write(bytes));
        }
    }

    /** Every third shot is written as JSON, so that both formats are at hand. */
    static String fileName(DemoShot shot) {
        return shot.name() + (isJson(shot) ? ".json" : ".csv");
    }

    static String content(DemoShot shot) {
        return isJson(shot) ? ShotJsonWriter.write(shot.shot()) : ShotCsvWriter.write(shot.shot());
    }

    private static boolean isJson(DemoShot shot) {
        return Integer.parseInt(shot.name().substring(shot.name().length() - 2)) % 3 == 0;
    }
}
