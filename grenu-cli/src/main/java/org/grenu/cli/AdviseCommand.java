package org.grenu.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import org.grenu.app.advice.Advisor;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import org.grenu.library.ShotSummary;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** The next shot of a coffee; see docs/cli.md. */
@Command(name = "advise", mixinStandardHelpOptions = true,
        description = "Say what to set the grinder to for the next shot of a coffee, with its chance and why.",
        footer = {"", "Exit code 0; 2 when an option or the library could not be read, or no shot can be learnt from."})
public final class AdviseCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "LIBRARY", description = "The library file.")
    private Path path;

    @Option(names = "--coffee", paramLabel = "NAME", required = true, description = "The coffee, as its shots name it.")
    private String coffee;

    @Option(names = "--grinder", paramLabel = "NAME",
            description = "The grinder; by default the one of the coffee's last shot.")
    private String grinder;

    @Option(names = "--time", paramLabel = "LOW-HIGH",
            description = "The time wanted in s, from pump on to pump off, instead of the recipe’s; without a recipe a "
                    + "chosen school’s, or 25-30.")
    private String time;

    @Option(names = "--yield", paramLabel = "LOW-HIGH",
            description = "The extraction yield wanted, %% as dosed, instead of the recipe’s.")
    private String yield;

    @Option(names = "--strength", paramLabel = "LOW-HIGH",
            description = "The strength wanted, %%, instead of the recipe’s.")
    private String strength;

    @Option(names = "--notch", paramLabel = "N",
            description = "One notch in the numbers of the dial, instead of the shelf’s.")
    private String notch;

    @Option(names = "--format", paramLabel = "json|table", defaultValue = "table",
            description = "How to print, ${DEFAULT-VALUE} by default.")
    private AnalyseCommand.Format format;

    @Override
    public Integer call() {
        OptionalDouble typed = notch == null ? OptionalDouble.empty() : positive("--notch", notch);
        try (Library library = Library.openForReading(path,
                Path.of(System.getProperty("java.io.tmpdir"), "grenu"))) {
            return advise(new Advisor(library.read(tx -> tx.shots().all()), shot -> measured(library, shot),
                    library.read(tx -> tx.shelf().all()), StudySettings.of(library.read(tx -> tx.settings().all()))),
                    typed);
        } catch (LibraryException refused) {
            return failed(refused.getMessage());
        }
    }

    private static MeasuredShot measured(Library library, ShotSummary shot) {
        return new MeasuredShot(Integer.toString(shot.number()), shot.record(), ShotMeasures.of(
                new Shot(shot.record(), library.read(tx -> tx.shots().log(shot.id())))));
    }

    private int advise(Advisor advisor, OptionalDouble typed) {
        Advisor.Answer answer = advisor.ask(new Advisor.Question(coffee, grinder == null ? "" : grinder, typed,
                this::aim));
        if (answer.outcome() instanceof CoffeeAdvice.Held held) {
            return failed(held.change() + ": " + held.reason());
        }
        if (answer.outcome() instanceof CoffeeAdvice.NotYet not) {
            return not.unpulled() && advisor.shelf().find(ShelfKind.COFFEE, coffee).isPresent() ? begun(advisor)
                    : failed(not.why() + " " + known(advisor.shots())
                            + " --grinder names another grinder, --notch says what one notch is.");
        }
        CoffeeAdvice given = answer.given().orElseThrow();
        AdvicePrint print = new AdvicePrint(given, answer.target(), advisor.schools(given));
        return printed(format == AnalyseCommand.Format.json ? print.json() : print.table());
    }

    private int begun(Advisor advisor) {
        StartPrint print = new StartPrint(coffee, advisor.start(coffee, ""));
        return printed(format == AnalyseCommand.Format.json ? print.json() : print.table());
    }

    private int printed(String text) {
        PrintWriter out = spec.commandLine().getOut();
        out.print(text);
        out.flush();
        return 0;
    }

    private static String known(List<ShotSummary> shots) {
        TreeSet<String> names = new TreeSet<>();
        shots.forEach(shot -> shot.record().text(RecordField.COFFEE).ifPresent(names::add));
        long unnamed = shots.stream().filter(shot -> !shot.record().has(RecordField.COFFEE)).count();
        return (names.isEmpty() ? "No shot in this library names a coffee."
                : "There are shots of " + String.join(", ", names)
                        + (unnamed == 0 ? "." : unnamed == 1 ? "; 1 names no coffee."
                                : "; " + unnamed + " name no coffee."));
    }

    /** What was typed goes before the recipe's. */
    private Aim aim(Aim recipe) {
        return new Aim(time == null ? recipe.time() : range("--time", time, "25-30"),
                yield == null ? recipe.yield() : Optional.of(range("--yield", yield, "18-22")),
                strength == null ? recipe.strength() : Optional.of(range("--strength", strength, "8-12")),
                recipe.tastes());
    }

    private AimRange range(String option, String typed, String such) {
        String[] ends = typed.split("[-–]");
        if (ends.length == 2) {
            OptionalDouble low = DecimalText.parse(ends[0].strip());
            OptionalDouble high = DecimalText.parse(ends[1].strip());
            if (low.isPresent() && high.isPresent() && low.getAsDouble() > 0
                    && high.getAsDouble() > low.getAsDouble()) {
                return new AimRange(low.getAsDouble(), high.getAsDouble());
            }
        }
        throw new ParameterException(spec.commandLine(),
                option + ": “" + typed + "” must be two numbers, the smaller first, such as " + such + ".");
    }

    private OptionalDouble positive(String option, String typed) {
        OptionalDouble number = DecimalText.parse(typed.strip());
        if (number.isEmpty() || !(number.getAsDouble() > 0)) {
            throw new ParameterException(spec.commandLine(),
                    option + ": “" + typed + "” must be a number above zero, such as 0.1.");
        }
        return number;
    }

    private int failed(String why) {
        PrintWriter errors = spec.commandLine().getErr();
        errors.println("grenu: " + why);
        errors.flush();
        return AnalyseCommand.FAILED;
    }
}
