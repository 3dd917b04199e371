package org.grenu.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.BoundedFile;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.mapping.MappedReader;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.formats.mapping.ShotFile;
import org.grenu.formats.mapping.TableMapping;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Reads shot files and prints what is measured from each; see docs/cli.md. */
@Command(name = "analyse", mixinStandardHelpOptions = true,
        description = "Print extraction yield, times and findings of shot files, without opening a window.",
        footer = {"", "Exit code 0, or 2 when an option or a file could not be read; the reason is on standard error."})
public final class AnalyseCommand implements Callable<Integer> {

    /** Exit code when something could not be read. */
    public static final int FAILED = 2;

    /** How the results are printed. */
    enum Format { json, table }

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", arity = "1..*", description = "Shot CSV, shot JSON, or any CSV or TSV log.")
    private List<Path> files;

    @Option(names = "--dose", paramLabel = "G", description = "Dose in g, instead of the file's.")
    private String dose;

    @Option(names = "--beverage", paramLabel = "G",
            description = "Beverage mass in g, instead of the file's; without either it is taken from the cup-mass "
                    + "curve.")
    private String beverage;

    @Option(names = "--strength", paramLabel = "PCT",
            description = "Strength in %% m/m, instead of the file's readings; several as \"9.40; 9.42\".")
    private String strength;

    @Option(names = "--moisture", paramLabel = "PCT", description = "Moisture of the coffee in %%, for the dry basis.")
    private String moisture;

    @Option(names = "--mapping", paramLabel = "FILE",
            description = "Read the logs by this mapping, as saved from the mapping window; one file may hold "
                    + "several shots.")
    private Path mappingFile;

    private TableMapping rules;

    @Option(names = "--format", paramLabel = "json|table", defaultValue = "table",
            description = "How to print, ${DEFAULT-VALUE} by default.")
    private Format format;

    @Override
    public Integer call() {
        overridden(ShotRecord.EMPTY);
        rules = mapping();
        PrintWriter errors = spec.commandLine().getErr();
        PrintWriter out = spec.commandLine().getOut();
        AnalysisOutput output = format == Format.json ? new AnalysisJson(out) : new AnalysisTable(out);
        List<Path> refused = new ArrayList<>();
        InOrder.forEach(files, file -> analysed(file, output), analysed -> {
            analysed.printing.forEach(Runnable::run);
            if (!analysed.refusal.isEmpty()) {
                refused.add(analysed.file);
                errors.println("grenu: " + analysed.refusal);
            }
        });
        output.finish();
        out.flush();
        errors.flush();
        return refused.isEmpty() ? 0 : FAILED;
    }

    /**
     * What came of a file.
     *
     * @param printing what prints its shots
     * @param refusal  why it has none; empty when it could be read
     */
    private record AnalysedFile(Path file, List<Runnable> printing, String refusal) {
    }

    private AnalysedFile analysed(Path file, AnalysisOutput output) {
        List<Runnable> printing = new ArrayList<>();
        try {
            List<ParsedShot> found = read(file);
            for (int i = 0; i < found.size(); i++) {
                ParsedShot parsed = found.get(i);
                Shot shot = parsed.shot().with(overridden(parsed.shot().record()));
                String name = found.size() == 1 ? file.toString() : file + "#" + (i + 1);
                printing.add(
                        output.ready(new AnalysedShot(name, shot, ShotMeasures.of(shot), parsed.assumptions())));
            }
            return new AnalysedFile(file, printing, "");
        } catch (ImportFailure failure) {
            return new AnalysedFile(file, printing, failure.getMessage());
        } catch (IOException unreadable) {
            return new AnalysedFile(file, printing, file + ": " + reason(unreadable));
        }
    }

    private List<ParsedShot> read(Path file) throws IOException, ImportFailure {
        byte[] bytes = BoundedFile.bytes(file);
        return rules == null ? ShotFile.read(file.toString(), bytes)
                : MappedReader.read(file.toString(), bytes, rules);
    }

    private TableMapping mapping() {
        try {
            return mappingFile == null ? null : MappingJson.read(mappingFile.toString(), Files.readString(mappingFile));
        } catch (ImportFailure failure) {
            throw new ParameterException(spec.commandLine(), "--mapping: " + failure.getMessage());
        } catch (IOException unreadable) {
            throw new ParameterException(spec.commandLine(), "--mapping: " + mappingFile + ": " + reason(unreadable));
        }
    }

    private static String reason(IOException unreadable) {
        return unreadable instanceof NoSuchFileException
                ? "There is no such file. Check the path."
                : "The file cannot be read (" + unreadable.getMessage() + "). Check its permissions.";
    }

    private ShotRecord overridden(ShotRecord record) {
        ShotRecord result = record;
        result = enter(result, RecordField.DOSE, dose, "--dose");
        result = enter(result, RecordField.BEVERAGE, beverage, "--beverage");
        if (strength != null) {
            // The file's zero check belongs to its own readings.
            result = enter(result, RecordField.READINGS, strength, "--strength").with(RecordField.ZERO, "");
        }
        return enter(result, RecordField.MOISTURE, moisture, "--moisture");
    }

    private ShotRecord enter(ShotRecord record, RecordField field, String typed, String option) {
        if (typed == null) {
            return record;
        }
        try {
            return record.with(field, typed);
        } catch (RefusedEntry refused) {
            throw new ParameterException(spec.commandLine(), option + ": " + refused.getMessage());
        }
    }
}
