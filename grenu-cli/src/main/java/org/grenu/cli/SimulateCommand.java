package org.grenu.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.grenu.core.puck.Puck;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.profile.Profile;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.rig.LogFlaw;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotJsonWriter;
import org.grenu.library.AtomicFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Writes shots of the simulated rig; see docs/cli.md. */
@Command(name = "simulate", mixinStandardHelpOptions = true,
        description = "Write simulated shots from a recipe, grind, temperature, profile and seed. The same seed "
                + "gives the same shots.",
        footer = {"", "Exit code 0, or 2 when an option cannot be used."})
public final class SimulateCommand implements Callable<Integer> {

    private static final int MOST_SHOTS = 10_000;

    /** How the shots are written. */
    enum Format { csv, json }

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FOLDER",
            description = "Where to write; made when it does not exist. Files of the same name are kept.")
    private Path folder;

    @Option(names = "--dose", paramLabel = "G", defaultValue = "18",
            description = "Dose in g, ${DEFAULT-VALUE} by default.")
    private double dose;

    @Option(names = "--beverage", paramLabel = "G", defaultValue = "38",
            description = "The pump stops when the scale shows this, ${DEFAULT-VALUE} g by default.")
    private double beverage;

    @Option(names = "--grind", paramLabel = "N", defaultValue = "2.4",
            description = "Dial of the simulated grinder, ${DEFAULT-VALUE} by default; lower is finer, one notch is "
                    + "0.2.")
    private double grind;

    @Option(names = "--temperature", paramLabel = "C", defaultValue = "93",
            description = "Brewing temperature in °C, ${DEFAULT-VALUE} by default.")
    private double temperature;

    @Option(names = "--profile", paramLabel = "TEXT", defaultValue = "Straight nine",
            description = "Name of a demo profile, or steps such as \"soak: pressure 2.4 until 2 s after drip; main: "
                    + "pressure 9\".")
    private String profile;

    @Option(names = "--age", paramLabel = "DAYS", defaultValue = "14",
            description = "Days since roast, ${DEFAULT-VALUE} by default.")
    private double age;

    @Option(names = "--flaw", paramLabel = "NAME",
            description = "What goes wrong with the log; may be given several times.")
    private List<String> flaws = List.of();

    @Option(names = "--channel", paramLabel = "SHARE", defaultValue = "0",
            description = "A channel opens midway that adds this share to the flow, 0 to 2.")
    private double channel;

    @Option(names = "--shots", paramLabel = "N", defaultValue = "1",
            description = "How many, each from the next seed, ${DEFAULT-VALUE} by default.")
    private int shots;

    @Option(names = "--seed", paramLabel = "N", defaultValue = "1",
            description = "First seed, ${DEFAULT-VALUE} by default.")
    private long seed;

    @Option(names = "--format", paramLabel = "csv|json", defaultValue = "csv",
            description = "How to write, ${DEFAULT-VALUE} by default.")
    private Format format;

    @Override
    public Integer call() throws IOException {
        if (shots < 1 || shots > MOST_SHOTS) {
            throw refused("--shots must lie between 1 and " + MOST_SHOTS + ".");
        }
        if (!(channel >= 0 && channel <= 2)) {
            throw refused("--channel must lie between 0 and 2.");
        }
        List<LogFlaw> planted = flaws.stream().map(this::flaw).toList();
        RigRecipe recipe = recipe();
        Files.createDirectories(folder);
        PrintWriter out = spec.commandLine().getOut();
        for (int i = 0; i < shots; i++) {
            Path file = folder.resolve(String.format(Locale.ROOT, "simulated-%d.%s", seed + i, format));
            if (Files.exists(file)) {
                throw refused(file + " exists already. Choose another folder or seed.");
            }
            SimulatedShot shot = new SimulatedRig(seed + i).withChannel(channel).pull(recipe, planted);
            Shot written = new Shot(record(recipe, shot), shot.log());
            String text = format == Format.json ? ShotJsonWriter.write(written) : ShotCsvWriter.write(written);
            AtomicFile.create(file, to -> to.write(text.getBytes(StandardCharsets.UTF_8)));
            out.println(file);
        }
        out.flush();
        return 0;
    }

    private RigRecipe recipe() {
        try {
            return new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, age, dose, grind, temperature), profile(),
                    beverage, 180);
        } catch (IllegalArgumentException impossible) {
            throw refused("The rig cannot pull that: " + impossible.getMessage());
        }
    }

    private Profile profile() {
        return Arrays.stream(DemoProfile.values())
                .filter(demo -> demo.title().equalsIgnoreCase(profile.strip()))
                .findFirst()
                .map(DemoProfile::profile)
                .orElseGet(() -> Profile.parse(profile));
    }

    private LogFlaw flaw(String name) {
        return Arrays.stream(LogFlaw.values())
                .filter(flaw -> name(flaw).equals(name.strip().toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> refused("--flaw: “" + name + "” is not known. Known: "
                        + Arrays.stream(LogFlaw.values()).map(SimulateCommand::name).collect(Collectors.joining(", "))
                        + "."));
    }

    private static String name(LogFlaw flaw) {
        return flaw.name().toLowerCase(Locale.ROOT);
    }

    private ShotRecord record(RigRecipe recipe, SimulatedShot shot) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.GRIND, grind)
                .with(RecordField.TEMPERATURE, temperature)
                .with(RecordField.PROFILE_STEPS, recipe.profile().text())
                .with(RecordField.DOSE, dose)
                .with(RecordField.SIMULATED, "yes")
                .withExtra("seed", Long.toString(seed));
        if (shot.readings().isEmpty()) {
            return record;
        }
        return record
                .with(RecordField.READINGS,
                        shot.readings().stream().map(String::valueOf).collect(Collectors.joining("; ")))
                .with(RecordField.ZERO, shot.zero())
                .with(RecordField.BEVERAGE, String.format(Locale.ROOT, "%.1f", shot.truth().beverageGrams()));
    }

    private ParameterException refused(String why) {
        return new ParameterException(spec.commandLine(), why);
    }
}
